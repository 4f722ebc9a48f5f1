import { answer, readPersonId } from "@/server/door";
import { signOutPerson } from "@/server/people/people";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "keepPeople", async ({ store }) =>
    signOutPerson(await store(), await readPersonId(params)),
  );
