/** The copies of the shop that are kept, newest first. */
export interface BackupList {
  backups: { at: string }[];
}
