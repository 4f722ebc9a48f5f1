import { backupBytes, copyName } from "@/server/backups";
import { answerFile } from "@/server/door";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answerFile(request, copyName(new Date()), "application/gzip", async ({ store }) =>
    backupBytes(await store()),
  );
