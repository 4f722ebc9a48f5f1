import { importDeal } from "@/server/deals";
import { answer, LARGEST_IMPORT, readBody } from "@/server/door";
import { checkImportRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answer(
    request,
    async ({ store }) => {
      const body = await readBody(request, checkImportRequest, LARGEST_IMPORT);
      return importDeal(await store(), body);
    },
    201,
  );
