import { answer } from "@/server/door";
import { suggestedNames } from "@/server/names";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(async () => suggestedNames(await serverStore(), new URL(request.url).searchParams));
