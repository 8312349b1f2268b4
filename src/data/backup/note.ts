/** What a backup says of itself. */
import { z } from 'zod';

/** Raised when a backup is laid out otherwise; older ones stay readable. */
export const BACKUP_VERSION = 1;

/** Name of the file. */
export const NOTE = 'backup.json';

export const backupNoteSchema = z.object({
  version: z
    .number('This is no backup of a studio.')
    .int()
    .max(BACKUP_VERSION, 'This backup was made by a newer Fair Grey: restore it with that one.'),
  /** When it began: all that was acknowledged before is in it. */
  madeAt: z.string(),
  files: z.number().int(),
  bytes: z.number(),
  /** Hashes of files that were deleted while it was made. */
  gone: z.array(z.string()),
});
export type BackupNote = z.infer<typeof backupNoteSchema>;
