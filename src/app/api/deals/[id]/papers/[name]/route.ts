import { allow, answerNamedFile, readId, readVersion } from "@/server/door";
import { givePaper, previewOf, readPaperAsked } from "@/server/papers/papers";

type Context = { params: Promise<{ id: string; name: string }> };

/** A preview, which is marked so and not kept. */
export const GET = (request: Request, { params }: Context) =>
  answerNamedFile(request, "seeDeals", async ({ store, asker }) => {
    const id = await readId(params);
    const { name } = await params;
    const asked = readPaperAsked(request, name, readVersion(request));
    if (asked.details.isCommissionAsked) allow(asker, "seeDealersSide");
    return previewOf(await store(), id, asked);
  });

/** The paper itself, which is kept as given. */
export const POST = (request: Request, { params }: Context) =>
  answerNamedFile(request, "givePapers", async ({ store, asker }) => {
    const id = await readId(params);
    const { name } = await params;
    const asked = readPaperAsked(request, name, readVersion(request));
    if (asked.details.isCommissionAsked) allow(asker, "seeDealersSide");
    return givePaper(await store(), id, asked);
  });
