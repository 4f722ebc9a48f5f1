import { backupBytes, copyName } from "@/server/backups";
import { answerFile } from "@/server/door";
import { serverSnapshot } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answerFile(request, copyName(new Date()), "application/gzip", async () => backupBytes(serverSnapshot));
