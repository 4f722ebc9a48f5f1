import { answer } from "@/server/door";
import { ratesMark } from "@/server/rates";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "signedIn", async ({ store }) => ratesMark(await store()));
