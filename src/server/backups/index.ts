export { backupBytes, writeBackup } from "./backup-bytes";
export {
  copyName,
  copyPath,
  dropOldCopies,
  isCopyDue,
  keptCopies,
  keptCopy,
  listCopies,
  wholeCopy,
} from "./copies";
export { keepCopy, keepDailyCopy, startDailyCopies } from "./daily";
