import { englishWords } from '@einkorn/core';
import own from './en.json';
import { joined } from './joined';

export const english = joined(englishWords, own);
