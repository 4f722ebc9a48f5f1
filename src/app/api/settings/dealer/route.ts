import { answer, readBody } from "@/server/door";
import { checkSettingsDealerRequest } from "@/server/requests";
import { openSettingsDealer, saveSettingsDealer } from "@/server/settings";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDealersSide", async ({ store }) => openSettingsDealer(await store()));

export const PUT = (request: Request) =>
  answer(request, "changeSettings", async ({ store }) => {
    const body = await readBody(request, checkSettingsDealerRequest);
    return saveSettingsDealer(await store(), body);
  });
