import { answer, readId } from "@/server/door";
import { dealAfterChange } from "@/server/history";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string; number: string }> };

export const GET = (_request: Request, { params }: Context) =>
  answer(async () => {
    const id = await readId(params);
    return dealAfterChange(await serverStore(), id, (await params).number);
  });
