export { type DealForCustomers, forCustomers } from "./for-customers";
