import { importDeal } from "@/server/deals";
import { allow, answer, LARGEST_IMPORT, readBody } from "@/server/door";
import { checkImportRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answer(
    request,
    "changeDeals",
    async ({ store, asker }) => {
      const body = await readBody(request, checkImportRequest, LARGEST_IMPORT);
      return importDeal(await store(), body, right => allow(asker, right));
    },
    201,
  );
