import { answerAsIs, readBody } from "@/server/door";
import { signInByName } from "@/server/people/sign-in";
import { checkSignInRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answerAsIs(request, "stranger", async context =>
    signInByName(context, await readBody(request, checkSignInRequest)),
  );
