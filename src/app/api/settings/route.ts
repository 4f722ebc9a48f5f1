import { answer, readBody } from "@/server/door";
import { checkSettingsRequest } from "@/server/requests";
import { openSettings, saveSettings } from "@/server/settings";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = () => answer(async () => openSettings(await serverStore()));

export const PUT = (request: Request) =>
  answer(async () => {
    const body = await readBody(request, checkSettingsRequest);
    return saveSettings(await serverStore(), body);
  });
