import { answer } from "@/server/door";
import { lockHere } from "@/server/people/sign-in";

export const POST = (request: Request) => answer(request, "signedIn", lockHere);
