import { answer } from "@/server/door";
import { eraseRecord, readRecord } from "@/server/records";

type Context = { params: Promise<{ member: string; id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "eraseCustomers", async ({ store }) =>
    eraseRecord(await store(), await readRecord(params)),
  );
