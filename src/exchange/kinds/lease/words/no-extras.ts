/** Why a lease takes no extra payments. */
export const NO_EXTRAS = "A lease takes no extra payments: its payments are for the use of the vehicle.";
