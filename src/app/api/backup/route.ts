import { backupBytes, copyName } from "@/server/backups";
import { answerFile } from "@/server/door";
import { serverSnapshot } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answerFile(request, "keepBackups", copyName(new Date()), "application/gzip", async ({ note }) => {
    await note("madeBackup");
    return backupBytes(serverSnapshot);
  });
