import { Register } from "@/features/register/Register";
import { serverDatabase } from "@/server/database";
import { registerRows } from "@/server/register";

export default async function RegisterPage() {
  return <Register rows={await registerRows(await serverDatabase())} />;
}
