import { answer } from "@/server/door";
import { meOf } from "@/server/people/sign-in";

export const dynamic = "force-dynamic";

export const GET = (request: Request) => answer(request, "signedIn", async ({ asker }) => meOf(asker));
