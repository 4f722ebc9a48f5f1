// A house with a directory of its own (OpenID Connect), held against a certified provider.
import { createServer, type Server } from "node:http";
import { expect } from "@playwright/test";
import Provider from "oidc-provider";
import { addedPerson, firstPerson } from "./house-of-people";
import { test } from "./own-server";

/** A directory that believes whatever name is typed: there is nothing but names in it. */
async function directoryAt(port: number, home: string): Promise<Server> {
  const provider = new Provider(`http://localhost:${port}`, {
    clients: [
      {
        client_id: "kellux",
        client_secret: "between the two alone",
        redirect_uris: [`${home}/api/sign-in/callback/house`],
      },
    ],
    claims: { openid: ["sub"], profile: ["preferred_username", "name"] },
    conformIdTokenClaims: false,
    findAccount: (_, sub) => ({
      accountId: sub,
      claims: () => ({ sub, preferred_username: sub.replace("id-of-", ""), name: sub }),
    }),
    cookies: { keys: ["only for this test"] },
  });
  provider.on("server_error", (_, error) => console.error(error));
  const server = createServer(provider.callback());
  await new Promise<void>(resolve => server.listen(port, resolve));
  return server;
}

test("who is known in the house’s directory comes in by it, and nobody whom no administrator has made", async ({
  own,
  page,
}) => {
  const { port, newFolder, start } = own;
  const home = `http://localhost:${port}`;
  const directory = await directoryAt(port + 1, home);
  try {
    await start(newFolder(), {
      KELLUX_ORIGIN: home,
      KELLUX_OIDC_ISSUER: `http://localhost:${port + 1}`,
      KELLUX_OIDC_CLIENT: "kellux",
      KELLUX_OIDC_SECRET: "between the two alone",
      KELLUX_OIDC_NAME: "Harbour directory",
    });
    const administrator = await firstPerson(home);
    await addedPerson(home, administrator, {
      name: "Ivo Ternhaven",
      username: "ivo",
      roles: ["officer"],
    });
    const byDirectory = async (name: string) => {
      await page.context().clearCookies();
      await page.goto("/sign-in");
      await page.getByRole("link", { name: "Sign in by Harbour directory" }).click();
      await page.locator("input[name=login]").fill(`id-of-${name}`);
      await page.locator("input[name=password]").fill("anything");
      await page.getByRole("button", { name: /sign-in/i }).click();
      await page.getByRole("button", { name: /continue/i }).click();
    };
    await byDirectory("ivo");
    await expect(page.getByRole("heading", { name: "Deals" })).toBeVisible();
    await page.goto("/people");
    await expect(page.getByRole("heading", { name: "Ivo Ternhaven" })).toBeVisible();
    // The same again, now that the two are known to be one.
    await byDirectory("ivo");
    await expect(page.getByRole("heading", { name: "Deals" })).toBeVisible();

    await byDirectory("stranger");
    await expect(page.getByText("The directory has not said that you work here.")).toBeVisible();
    expect((await page.request.get("/api/deals")).status()).toBe(401);
    // An answer that nobody has asked for lets nobody in.
    await page.goto("/api/sign-in/callback/house?code=made-up&state=made-up");
    await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  } finally {
    directory.close();
    directory.closeAllConnections();
  }
});
