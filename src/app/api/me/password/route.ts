import { answerAsIs, readBody } from "@/server/door";
import { changeOwnPassword } from "@/server/people/sign-in";
import { checkNewPasswordRequest } from "@/server/requests";

export const PUT = (request: Request) =>
  answerAsIs(request, "signedIn", async context =>
    changeOwnPassword(context, await readBody(request, checkNewPasswordRequest)),
  );
