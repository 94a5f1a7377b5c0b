import { spanishWords } from '@einkorn/core';
import own from './es.json';
import { joined } from './joined';

export const spanish = joined(spanishWords, own);
