import { answerAsIs } from "@/server/door";
import { askDirectory } from "@/server/people/directory";

export const dynamic = "force-dynamic";

/** Leads to the house's directory. */
export const GET = (request: Request) => answerAsIs(request, "stranger", askDirectory);
