/** The server's interface, once: its routes, its descriptions, its client and its checks are all made from here. */
export { ADDRESSES, addressOf, type Name, type Params, placeOf } from './addresses.ts';
export type { AnswerAt, AnswerOf, BodyRead, BodySaid, QueryRead, QuerySaid, StatusOf } from './call.ts';
export { faultOfAnswer, faultOfRefusal } from './check.ts';
export { ANYWHERE, type ErrorCode, ERRORS } from './errors.ts';
export { LIMITS } from './limits.ts';
export type { Answer, Operation } from './operation.ts';
export { GROUPS, operationOf, OPERATIONS } from './operations/all.ts';
export type { Arrived } from './operations/files.ts';
export type { Backup, House, Link, NewLink, Numbers, Permission, Who } from './operations/house.ts';
export type { LogPage } from './operations/log.ts';
export type { MadePicture } from './operations/pictures.ts';
export type { Asked } from './operations/stand-ins.ts';
export { NAMED } from './shapes/known.ts';
export { ID } from './shapes/plain.ts';
export type {
  Card,
  ListedQuilt,
  Saved,
  ShelfPage,
  StoredQuilt,
  TakenOff,
  UnreadableCard,
  Version,
} from './shapes/quilt.ts';
export { passesAt } from './passing.ts';
export type { RefusalAnswer } from './shapes/refusal.ts';
