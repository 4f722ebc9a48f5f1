import { answer, readText } from "@/server/door";
import { LARGEST_RATES, openRates, takeRates } from "@/server/rates";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDeals", async ({ store }) => openRates(await store()));

export const PUT = (request: Request) =>
  answer(request, "changeRates", async ({ store }) => {
    const asked = new URL(request.url).searchParams;
    const text = await readText(request, LARGEST_RATES);
    const sent = { text, name: asked.get("name") ?? "", locale: asked.get("locale") };
    return takeRates(await store(), sent, asked.get("mark"));
  });
