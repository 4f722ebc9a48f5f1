import { Readable } from "node:stream";
import { LARGEST_LOGO } from "@/exchange/settings";
import { answer, answerFile, readBytes } from "@/server/door";
import { keepLogo, logoOf } from "@/server/papers/logo";
import { Refusal } from "@/server/refusal";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answerFile(request, "signedIn", "logo.png", "image/png", async ({ store }) => {
    const sha256 = new URL(request.url).searchParams.get("sha256") ?? "";
    const logo = await logoOf(await store(), sha256);
    if (!logo) throw new Refusal(404, "There is no such logo.");
    return Readable.from([logo]);
  });

export const POST = (request: Request) =>
  answer(request, "changeSettings", async ({ store }) => {
    const picture = await readBytes(request, LARGEST_LOGO);
    return keepLogo(await store(), picture);
  });
