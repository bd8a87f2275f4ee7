/** What reads a long-arm's answers, fetched when the first one comes. */
export { longArmAnswerSchema } from '@lattice/core';
