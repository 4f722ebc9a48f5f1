import { createDeal } from "@/server/deals";
import { allow, answer, readBody } from "@/server/door";
import { readRegisterAsked, registerPage } from "@/server/register";
import { checkNewDealRequest } from "@/server/requests";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDeals", async ({ store, asker }) =>
    registerPage(await store(), readRegisterAsked(new URL(request.url).searchParams), asker.person !== null),
  );

export const POST = (request: Request) =>
  answer(
    request,
    "changeDeals",
    async ({ store, asker }) => {
      const { document, dealer } = await readBody(request, checkNewDealRequest);
      if (dealer) allow(asker, "changeDealersSide");
      if (document.status === "signed") allow(asker, "signDeals");
      return createDeal(await store(), document, dealer && { dealer });
    },
    201,
  );
