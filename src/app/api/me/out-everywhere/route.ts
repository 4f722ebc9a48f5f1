import { answerAsIs } from "@/server/door";
import { signOutEverywhere } from "@/server/people/sign-in";

export const POST = (request: Request) => answerAsIs(request, "signedIn", signOutEverywhere);
