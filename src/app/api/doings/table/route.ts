import { answerNamedFile } from "@/server/door";
import { tableFile } from "@/server/papers/table-file";
import { doingsTable, readDoingsAsked } from "@/server/people/doings";

export const dynamic = "force-dynamic";

/** Who did what, as a workbook. */
export const GET = (request: Request) =>
  answerNamedFile(request, "seeDoings", async ({ store, note }) => {
    const asked = readDoingsAsked(new URL(request.url).searchParams);
    await note("exportedDoings");
    return tableFile(await doingsTable(await store(), asked));
  });
