import { serverDatabase } from "@/server/database";
import { importDeal } from "@/server/deals";
import { answer, LARGEST_IMPORT, readBody } from "@/server/door";
import { checkImportRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answer(async () => {
    const body = await readBody(request, checkImportRequest, LARGEST_IMPORT);
    return importDeal(await serverDatabase(), body);
  }, 201);
