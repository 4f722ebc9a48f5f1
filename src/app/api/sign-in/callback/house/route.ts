import { answerAsIs } from "@/server/door";
import { hearDirectory } from "@/server/people/directory";

export const dynamic = "force-dynamic";

/** Where the house's directory sends back whoever has said there who they are. */
export const GET = (request: Request) => answerAsIs(request, "stranger", hearDirectory);
