import { answer, readBody } from "@/server/door";
import { withKeptLogo } from "@/server/papers/logo";
import { checkSettingsRequest } from "@/server/requests";
import { openSettings, saveSettings } from "@/server/settings";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "signedIn", async ({ store }) => openSettings(await store()));

export const PUT = (request: Request) =>
  answer(request, "changeSettings", async ({ store }) => {
    const body = await readBody(request, checkSettingsRequest);
    const kept = await store();
    return saveSettings(kept, { ...body, settings: await withKeptLogo(kept, body.settings) });
  });
