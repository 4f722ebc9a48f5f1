import { answer, readBody, readPersonId } from "@/server/door";
import { changePerson } from "@/server/people/people";
import { checkPersonRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(request, "keepPeople", async ({ store }) => {
    const id = await readPersonId(params);
    const body = await readBody(request, checkPersonRequest);
    return changePerson(await store(), id, body);
  });
