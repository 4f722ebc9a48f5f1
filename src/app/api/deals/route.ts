import { createDeal } from "@/server/deals";
import { answer, readBody } from "@/server/door";
import { readRegisterAsked, registerPage } from "@/server/register";
import { checkNewDealRequest } from "@/server/requests";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(async () => registerPage(await serverStore(), readRegisterAsked(new URL(request.url).searchParams)));

export const POST = (request: Request) =>
  answer(async () => {
    const { document } = await readBody(request, checkNewDealRequest);
    return createDeal(await serverStore(), document);
  }, 201);
