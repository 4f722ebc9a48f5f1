import { answer, readId, readVersion } from "@/server/door";
import { papersOf, readOptionsAsked } from "@/server/papers/papers";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => {
    const id = await readId(params);
    const asked = readOptionsAsked(request, readVersion(request));
    return papersOf(await store(), id, asked);
  });
