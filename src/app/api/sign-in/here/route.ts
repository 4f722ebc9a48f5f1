import { answer } from "@/server/door";
import { stillHere } from "@/server/people/sign-in";

export const POST = (request: Request) => answer(request, "signedIn", stillHere);
