import { answer, answerAsIs, readBody } from "@/server/door";
import { beginOwnCodes, confirmOwnCodes, endOwnCodes } from "@/server/people/sign-in";
import { checkCodeRequest, checkPasswordRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answer(request, "signedIn", async context =>
    beginOwnCodes(context, (await readBody(request, checkPasswordRequest)).password),
  );

export const PUT = (request: Request) =>
  answerAsIs(request, "signedIn", async context =>
    confirmOwnCodes(context, await readBody(request, checkCodeRequest)),
  );

export const DELETE = (request: Request) =>
  answerAsIs(request, "signedIn", async context =>
    endOwnCodes(context, (await readBody(request, checkPasswordRequest)).password),
  );
