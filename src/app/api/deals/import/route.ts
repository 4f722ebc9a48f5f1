import { importDeal } from "@/server/deals";
import { answer, LARGEST_IMPORT, readBody } from "@/server/door";
import { checkImportRequest } from "@/server/requests";
import { serverStore } from "@/server/store";

export const POST = (request: Request) =>
  answer(async () => {
    const body = await readBody(request, checkImportRequest, LARGEST_IMPORT);
    return importDeal(await serverStore(), body);
  }, 201);
