import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ["@electric-sql/pglite"],
  // npm test checks them, once; whoever only runs the app need not wait for it.
  typescript: { ignoreBuildErrors: true },
};

export default config;
