import { answer, readBody } from "@/server/door";
import { unlockHere } from "@/server/people/sign-in";
import { checkPasswordRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answer(request, "stranger", async context =>
    unlockHere(context, (await readBody(request, checkPasswordRequest)).password),
  );
