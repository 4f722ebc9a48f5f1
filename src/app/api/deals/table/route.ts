import { answerNamedFile } from "@/server/door";
import { tableFile } from "@/server/papers/table-file";
import { readRegisterAsked } from "@/server/register";
import { registerTable } from "@/server/tables";

export const dynamic = "force-dynamic";

/** The deals that are found, as a workbook. */
export const GET = (request: Request) =>
  answerNamedFile(request, async ({ store }) =>
    tableFile(await registerTable(await store(), readRegisterAsked(new URL(request.url).searchParams))),
  );
