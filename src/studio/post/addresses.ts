/** Where letters go, for those whose teacher gave an address. */
import { addresses } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { studentToChange, type Teacher } from '../access/actor';
import type { House } from '../house';
import { emailSchema } from '../words';

/** Empty where there is none. */
export async function addressOf(house: House, teacher: Teacher, studentId: string): Promise<string> {
  await studentToChange(house, teacher, studentId);
  const [row] = await house.db.select().from(addresses).where(eq(addresses.studentId, studentId));
  return row?.address ?? '';
}

/** Keeps an address; empty takes it away. */
export async function setAddress(house: House, teacher: Teacher, studentId: string, given: string): Promise<void> {
  await studentToChange(house, teacher, studentId);
  if (given.trim() === '') {
    await house.db.delete(addresses).where(eq(addresses.studentId, studentId));
    return;
  }
  const address = emailSchema.parse(given.trim());
  await house.db
    .insert(addresses)
    .values({ studentId, address })
    .onConflictDoUpdate({ target: addresses.studentId, set: { address } });
}
