/** What a new password has to be, said where it is typed. */
export const NEW_PASSWORD_HINT = "12 characters or more; some words that only you put together are good.";
