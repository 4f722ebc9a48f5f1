import { serverDatabase } from "@/server/database";
import { answer } from "@/server/door";
import { suggestedNames } from "@/server/names";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(async () => suggestedNames(await serverDatabase(), new URL(request.url).searchParams));
