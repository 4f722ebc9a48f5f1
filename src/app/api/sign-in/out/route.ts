import { answerAsIs } from "@/server/door";
import { signOutHere } from "@/server/people/sign-in";

export const POST = (request: Request) => answerAsIs(request, "stranger", signOutHere);
