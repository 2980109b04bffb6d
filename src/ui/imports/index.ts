export { ImportFile } from './late';
export { LibraryFiles } from './library-files';
export type { FileActions } from './library-files';
export type { ArchiveFile } from './use-import';
