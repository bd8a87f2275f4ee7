import { shortly } from './support/short.ts';

shortly('steps');
