import { fileSchema } from "../kinds/kind/file.schema";
import { LEASE_MEMBERS } from "../kinds/lease/file/file.schema";
import { LOAN_MEMBERS } from "../kinds/loan/file/file.schema";

/** The deal file of each kind; each keeps what the deal was as the other kind. */
export const LoanFileSchema = fileSchema(LOAN_MEMBERS, LEASE_MEMBERS);
export const LeaseFileSchema = fileSchema(LEASE_MEMBERS, LOAN_MEMBERS);
