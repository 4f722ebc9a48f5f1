import { type Checked, checked } from "@/exchange/checks";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { goneRatesRequest, programsRequest, takeProgramRequest } from "./compiled";
import type { GoneRatesRequest, ProgramsRequest, TakeProgramRequest } from "./requests.schema";

export const checkProgramsRequest = (value: unknown): Checked<ProgramsRequest> =>
  withInputs(checked<ProgramsRequest>(programsRequest, value));

export const checkTakeProgramRequest = (value: unknown): Checked<TakeProgramRequest> =>
  withInputs(checked<TakeProgramRequest>(takeProgramRequest, value));

export const checkGoneRatesRequest = (value: unknown): Checked<GoneRatesRequest> =>
  checked<GoneRatesRequest>(goneRatesRequest, value);

/** A request whose option is a deal file. */
function withInputs<Request extends Pick<ProgramsRequest, "inputs">>(
  request: Checked<Request>,
): Checked<Request> {
  if (!request.ok) return request;
  const inputs = checkDealFile(request.value.inputs, "/inputs");
  return inputs.ok ? { ok: true, value: { ...request.value, inputs: inputs.value } } : inputs;
}
