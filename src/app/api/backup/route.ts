import { backupBytes, copyName } from "@/server/backups";
import { answerFile } from "@/server/door";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = () =>
  answerFile(copyName(new Date()), "application/gzip", async () => backupBytes(await serverStore()));
