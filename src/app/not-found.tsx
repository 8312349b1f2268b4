import Link from 'next/link';

export default function NotHere() {
  return (
    <main className="mx-auto mt-16 max-w-md px-4">
      <div className="panel">
        <h1 className="mb-2 text-24 font-semibold">Nothing hangs here</h1>
        <p className="mb-4">This page is not there, or it belongs to somebody else.</p>
        <Link href="/" className="act">
          Back to the studio
        </Link>
      </div>
    </main>
  );
}
