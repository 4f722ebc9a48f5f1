/** What the house's own directory is called on the way in; null where there is none. */
export const directoryName = (): string | null =>
  process.env.KELLUX_OIDC_ISSUER ? (process.env.KELLUX_OIDC_NAME ?? "the house’s directory") : null;
