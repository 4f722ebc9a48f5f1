import { answer, readText } from "@/server/door";
import { LARGEST_RATES, lookAtRates } from "@/server/rates";

export const POST = (request: Request) =>
  answer(request, "changeRates", async ({ store }) => {
    const asked = new URL(request.url).searchParams;
    const text = await readText(request, LARGEST_RATES);
    return lookAtRates(await store(), { text, name: asked.get("name") ?? "", locale: asked.get("locale") });
  });
