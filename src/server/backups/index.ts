export { backupBytes, writeBackup } from "./backup-bytes";
export { copyName, copyPath, DAYS_KEPT, dropOldCopies, isCopyDue, keptCopy, listCopies } from "./copies";
export { keepCopy, keepDailyCopy, startDailyCopies } from "./daily";
