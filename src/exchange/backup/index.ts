export { type BackupFacts, type BackupHead, BackupRefused } from "./format";
export { readBackup } from "./read-backup";
export { rewriteBackup } from "./rewrite-backup";
export { type BackupParts, backupText } from "./write-backup";
