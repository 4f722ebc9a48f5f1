import { answer, readBody } from "@/server/door";
import { checkSettingsRequest } from "@/server/requests";
import { openSettings, saveSettings } from "@/server/settings";

export const dynamic = "force-dynamic";

export const GET = (request: Request) => answer(request, async ({ store }) => openSettings(await store()));

export const PUT = (request: Request) =>
  answer(request, async ({ store }) => {
    const body = await readBody(request, checkSettingsRequest);
    return saveSettings(await store(), body);
  });
