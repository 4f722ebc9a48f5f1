export { type Arithmetic, FLOAT, LEVEL_PAY, PRECISE, rationalWeight } from "./arithmetic";
export { type PaymentRounding, type PaymentSolver, paymentSolver } from "./payment-solver";
export { levelRate } from "./rate";
export { areLevel, byPay, isSolved, type Pay, type Raise, type Run } from "./run";
export { steppedPayment } from "./stepped-payment";
export { type Worth, worthOf } from "./worth";
