'use client';

export default function Failed({ reset }: { reset: () => void }) {
  return (
    <main className="mx-auto mt-16 max-w-md px-4">
      <div className="panel" role="alert">
        <h1 className="mb-2 text-24 font-semibold">This page could not be shown</h1>
        <p className="mb-4">The mistake is ours. Nothing that was handed in or written is lost.</p>
        <button className="act" onClick={reset}>
          Try once more
        </button>
      </div>
    </main>
  );
}
