/** Input that a person can put right: said in one line, without a stack trace. */
export class InputError extends Error {}

/** A ledger is not as it was stored: what is wrong was printed, and the status says so. */
export class LedgerAtFault extends Error {}
