import { zoneOf } from '@/core/planning/meetings';
import { classOf, NotFound } from '@/studio/access/actor';
import { hasCalendar } from '@/studio/post/calendars';
import { announcementsOf, postOf } from '@/studio/post/mailing';
import { sayDay, sayMoment } from '@/ui/parts/dates';
import { Announcements } from '@/ui/post/Announcements';
import { CalendarAddress } from '@/ui/post/CalendarAddress';
import { PageHead } from '@/ui/parts/PageHead';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../../access';
import { endCalendar, newCalendar, tellClass, untellClass } from '../../post-actions';

/** What goes out of the studio to a class, by its teacher's own hand. */
export default async function Post({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const group = await orNotFound(
    teacher.standing === 'assistant' ? Promise.reject(new NotFound()) : classOf(house, teacher, classId),
  );
  const of = { classId, studentId: null };
  const [letters, told, isOpen] = await Promise.all([
    postOf(house, teacher, classId),
    announcementsOf(house, classId),
    hasCalendar(house, teacher, of),
  ]);
  const zone = zoneOf(group.meetings);
  const waiting = letters.filter((l) => l.takenAt === null).length;
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_26rem]">
      <section className="panel self-start">
        <PageHead title={`${group.name}, post`}>
          {waiting > 0 && (
            <a className="act" href={`/post/${classId}`}>
              Take {waiting === 1 ? 'the letter' : `all ${waiting} letters`} out
            </a>
          )}
          <Link href={`/ledger/${classId}`} className="calm">
            The class
          </Link>
        </PageHead>
        <p className="mb-3 max-w-prose">
          Letters that were sent, of students with an address: each comes as a file that your own mail program opens and
          sends. Nothing leaves this studio by itself.
        </p>
        {letters.length === 0 ? (
          <p>
            None yet. Give an address on a student’s page, if there is one; whoever has none reads their letters here.
          </p>
        ) : (
          <ul className="grid gap-2">
            {letters.map(({ attemptId, student, title, sentAt, address, takenAt }) => (
              <li key={attemptId} className="flex flex-wrap items-center gap-3 rounded-sm bg-l97 px-3 py-2">
                <span className="min-w-48 flex-1 break-words">
                  <span className="block font-semibold">{student}</span>
                  <span className="quiet block">
                    {title}, sent {sentAt && sayDay(sentAt, zone)}, to {address}
                  </span>
                </span>
                {takenAt && <span className="quiet">taken out {sayMoment(takenAt, zone)}</span>}
                <a className="calm" href={`/post/${classId}?letter=${attemptId}`}>
                  As e-mail<span className="sr-only"> the letter to {student}</span>
                </a>
              </li>
            ))}
          </ul>
        )}
      </section>
      <div className="grid gap-4 self-start">
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">Tell the class</h2>
          <Announcements
            told={told.map(({ at, ...own }) => ({ ...own, day: sayDay(at, zone) }))}
            mails={`/post/${classId}`}
            tell={tellClass.bind(null, classId)}
            untell={untellClass.bind(null, classId)}
          />
        </section>
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">The class’s calendar</h2>
          <CalendarAddress
            about="Meetings and dates of the class, without anybody’s name."
            isOpen={isOpen}
            open={newCalendar.bind(null, of)}
            close={endCalendar.bind(null, of)}
          />
        </section>
      </div>
    </div>
  );
}
