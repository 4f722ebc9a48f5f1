/** What the directory is called among the ways to sign in. */
export const DIRECTORY = "house";

/** A directory that says who somebody is (OpenID Connect). */
export type Directory = { issuer: string; client: string; secret: string | undefined };

/** The house's directory, as the environment names it; undefined where there is none. */
export function directoryOf(env: NodeJS.ProcessEnv = process.env): Directory | undefined {
  const { KELLUX_OIDC_ISSUER: issuer, KELLUX_OIDC_CLIENT: client, KELLUX_OIDC_SECRET: secret } = env;
  return issuer && client ? { issuer, client, secret } : undefined;
}
