import type { Config } from "jest";

// TypeBox ships ES modules only, so it goes through SWC with our own files.
const config: Config = {
  testEnvironment: "node",
  testMatch: ["<rootDir>/tests/**/*.test.ts", "<rootDir>/tests/**/*.test.tsx"],
  transform: {
    "\\.(t|j|mj)sx?$": [
      "@swc/jest",
      {
        jsc: {
          target: "es2023",
          parser: { syntax: "typescript", tsx: true },
          transform: { react: { runtime: "automatic" } },
        },
      },
    ],
  },
  transformIgnorePatterns: ["/node_modules/(?!typebox/)"],
  extensionsToTreatAsEsm: [],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1", "^#demo/(.*)$": "<rootDir>/demo/$1" },
  testTimeout: 60_000,
};

export default config;
