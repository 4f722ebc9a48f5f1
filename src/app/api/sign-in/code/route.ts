import { answerAsIs, readBody } from "@/server/door";
import { signInByCode } from "@/server/people/sign-in";
import { checkCodeRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answerAsIs(request, "stranger", async context =>
    signInByCode(context, await readBody(request, checkCodeRequest)),
  );
