/** Opens the files of a house: a bucket where one is named, or else a folder. */
import type { Settings } from '../settings';
import type { FileStore } from './file-store';
import { openFolderStore } from './folder-store';
import { openS3Store } from './s3-store';

/** `alone`: whether no other process has the folder. */
export const openFiles = ({ folder, s3 }: Pick<Settings, 'folder' | 's3'>, alone: boolean): Promise<FileStore> =>
  s3 ? openS3Store(folder, s3) : openFolderStore(folder, alone);
