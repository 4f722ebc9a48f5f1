import { answerNamedFile, readId, readVersion } from "@/server/door";
import { paperOf, readPaperAsked } from "@/server/papers/papers";

type Context = { params: Promise<{ id: string; name: string }> };

export const GET = (request: Request, { params }: Context) =>
  answerNamedFile(request, async ({ store }) => {
    const id = await readId(params);
    const { name } = await params;
    const asked = readPaperAsked(request, name, readVersion(request));
    return paperOf(await store(), id, asked);
  });
