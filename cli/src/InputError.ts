/** Input that a person can put right: said in one line, without a stack trace. */
export class InputError extends Error {}
