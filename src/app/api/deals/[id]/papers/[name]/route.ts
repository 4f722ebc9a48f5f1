import { answerNamedFile, readId, readVersion } from "@/server/door";
import { givePaper, previewOf, readPaperAsked } from "@/server/papers/papers";

type Context = { params: Promise<{ id: string; name: string }> };

/** A preview, which is marked so and not kept. */
export const GET = (request: Request, { params }: Context) =>
  answerNamedFile(request, async ({ store }) => {
    const id = await readId(params);
    const { name } = await params;
    const asked = readPaperAsked(request, name, readVersion(request));
    return previewOf(await store(), id, asked);
  });

/** The paper itself, which is kept as given. */
export const POST = (request: Request, { params }: Context) =>
  answerNamedFile(request, async ({ store }) => {
    const id = await readId(params);
    const { name } = await params;
    const asked = readPaperAsked(request, name, readVersion(request));
    return givePaper(await store(), id, asked);
  });
