import { dealVersion } from "@/server/deals";
import { answer, readId } from "@/server/door";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const dynamic = "force-dynamic";

export const GET = (_request: Request, { params }: Context) =>
  answer(async () => dealVersion(await serverStore(), await readId(params)));
