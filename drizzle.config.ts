import { defineConfig } from "drizzle-kit";

export default defineConfig({
  dialect: "postgresql",
  schema: ["./src/data/schema.ts", "./src/data/schema-people.ts"],
  out: "./src/data/migrations",
  casing: "snake_case",
});
