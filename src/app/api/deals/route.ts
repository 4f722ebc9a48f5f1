import { createDeal } from "@/server/deals";
import { answer, readBody } from "@/server/door";
import { readRegisterAsked, registerPage } from "@/server/register";
import { checkNewDealRequest } from "@/server/requests";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, async ({ store }) =>
    registerPage(await store(), readRegisterAsked(new URL(request.url).searchParams)),
  );

export const POST = (request: Request) =>
  answer(
    request,
    async ({ store }) => {
      const { document, dealer } = await readBody(request, checkNewDealRequest);
      return createDeal(await store(), document, dealer && { dealer });
    },
    201,
  );
