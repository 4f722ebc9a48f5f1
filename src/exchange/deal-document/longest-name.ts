/** How many letters a customer's name, a vehicle's description or an option's name can have. */
export const LONGEST_NAME = 120;
