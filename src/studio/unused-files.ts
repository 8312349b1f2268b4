/** Files that no row needs any longer are taken away. */
import { attempts, files, looks, measurements, readings, referencePictures, tray } from '@/data/schema/tables';
import { eq, or, sql } from 'drizzle-orm';
import type { House } from './house';

async function isUsed(house: House, hash: string): Promise<boolean> {
  const { db } = house;
  const found = await Promise.all([
    db
      .select({ id: attempts.id })
      .from(attempts)
      .where(or(eq(attempts.photoHash, hash), eq(attempts.previewHash, hash), eq(attempts.stripHash, hash)))
      .limit(1),
    db
      .select({ id: tray.id })
      .from(tray)
      .where(or(eq(tray.photoHash, hash), eq(tray.smallHash, hash)))
      .limit(1),
    db.select({ id: looks.id }).from(looks).where(eq(looks.pictureHash, hash)).limit(1),
    db
      .select({ id: referencePictures.id })
      .from(referencePictures)
      .where(
        or(
          eq(referencePictures.pictureHash, hash),
          eq(referencePictures.workingHash, hash),
          eq(referencePictures.smallHash, hash),
        ),
      )
      .limit(1),
    db.select({ id: readings.id }).from(readings).where(eq(readings.maskHash, hash)).limit(1),
    db
      .select({ id: measurements.id })
      .from(measurements)
      .where(
        or(eq(sql`(${measurements.against}->>'planes')`, hash), eq(sql`(${measurements.against}->>'lightness')`, hash)),
      )
      .limit(1),
  ]);
  return found.some((rows) => rows.length > 0);
}

/** The row goes first: a file without a row is swept at the next start, a row without a file would be a broken promise. */
export async function removeUnused(house: House, hash: string): Promise<void> {
  if (await isUsed(house, hash)) return;
  await house.db.delete(files).where(eq(files.hash, hash));
  await house.files.remove(hash);
}

/** Files that no row names, left by a process that was killed in between. */
export async function sweepFiles(house: House): Promise<number> {
  const known = new Set((await house.db.select({ hash: files.hash }).from(files)).map((f) => f.hash));
  const lost = (await house.files.list()).filter((h) => !known.has(h));
  for (const hash of lost) await house.files.remove(hash);
  return lost.length;
}
