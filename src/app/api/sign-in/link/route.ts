import { answerAsIs, readBody } from "@/server/door";
import { signInByLink } from "@/server/people/sign-in";
import { checkLinkRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answerAsIs(request, "stranger", async context =>
    signInByLink(context, await readBody(request, checkLinkRequest)),
  );
