import { answerNamedFile } from "@/server/door";
import { tableFile } from "@/server/papers/table-file";
import { readRegisterAsked } from "@/server/register";
import { registerTable } from "@/server/tables";

export const dynamic = "force-dynamic";

/** The deals that are found, as a workbook. */
export const GET = (request: Request) =>
  answerNamedFile(request, "exportDeals", async ({ store, note }) => {
    const asked = readRegisterAsked(new URL(request.url).searchParams);
    await note("exportedDeals");
    return tableFile(await registerTable(await store(), asked));
  });
