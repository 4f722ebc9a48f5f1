import { type Checked, checked } from "@/exchange/checks";
import {
  codeRequest,
  dealPeopleRequest,
  linkRequest,
  newPasswordRequest,
  passwordRequest,
  personRequest,
  releaseRequest,
  signInRequest,
} from "./compiled";
import type {
  CodeRequest,
  DealPeopleRequest,
  LinkRequest,
  NewPasswordRequest,
  PasswordRequest,
  PersonRequest,
  ReleaseRequest,
  SignInRequest,
} from "./people.schema";

export const checkSignInRequest = (value: unknown): Checked<SignInRequest> =>
  checked<SignInRequest>(signInRequest, value);

export const checkCodeRequest = (value: unknown): Checked<CodeRequest> =>
  checked<CodeRequest>(codeRequest, value);

export const checkPasswordRequest = (value: unknown): Checked<PasswordRequest> =>
  checked<PasswordRequest>(passwordRequest, value);

export const checkNewPasswordRequest = (value: unknown): Checked<NewPasswordRequest> =>
  checked<NewPasswordRequest>(newPasswordRequest, value);

export const checkLinkRequest = (value: unknown): Checked<LinkRequest> =>
  checked<LinkRequest>(linkRequest, value);

export const checkPersonRequest = (value: unknown): Checked<PersonRequest> =>
  checked<PersonRequest>(personRequest, value);

export const checkDealPeopleRequest = (value: unknown): Checked<DealPeopleRequest> =>
  checked<DealPeopleRequest>(dealPeopleRequest, value);

export const checkReleaseRequest = (value: unknown): Checked<ReleaseRequest> =>
  checked<ReleaseRequest>(releaseRequest, value);
