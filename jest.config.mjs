// TypeBox, D3 and what signs people in ship ES modules only, so they go through SWC with our own files.
const swc = {
  jsc: {
    target: "es2023",
    parser: { syntax: "typescript", tsx: true },
    transform: { react: { runtime: "automatic" } },
  },
};

/** @type {import("jest").Config} */
export default {
  testEnvironment: "node",
  testMatch: ["<rootDir>/tests/**/*.test.ts"],
  globalSetup: "<rootDir>/tests/global-setup.mjs",
  setupFiles: ["<rootDir>/tests/setup.ts"],
  transform: { "\\.(t|j|mj)sx?$": ["@swc/jest", swc] },
  transformIgnorePatterns: [
    "/node_modules/(?!typebox/|d3-|internmap/|better-auth/|@better-auth/|better-call/|@better-fetch/|jose/|@noble/|nanostores/|rou3/)",
  ],
  moduleNameMapper: {
    "^@/core$": "<rootDir>/node_modules/.cache/kellux/core.cjs",
    "^@/(.*)$": "<rootDir>/src/$1",
    "^#demo/(.*)$": "<rootDir>/demo/$1",
  },
  modulePathIgnorePatterns: ["<rootDir>/.next/"],
  cacheDirectory: "<rootDir>/node_modules/.cache/jest",
  // Tests run in a context whose every global is asked for by name, each time: half the time of the core was that.
  // Date is not among them, for tests set the clock.
  sandboxInjectedGlobals: [
    ...["Array", "BigInt", "Boolean", "Error", "Infinity", "JSON", "Map", "Math", "Number", "Object"],
    ...["Promise", "RegExp", "Set", "String", "Symbol", "Uint8Array", "WeakMap"],
  ],
  testTimeout: 600_000,
  // Every core: what is left is small, and a machine of two would run one test file after another.
  maxWorkers: "100%",
};
