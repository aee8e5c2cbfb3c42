import { en } from './en';
import { de } from './de';
import { fr } from './fr';
import { es } from './es';
import { it } from './it';
import { pt } from './pt';
import { nl } from './nl';
import { sv } from './sv';
import { no } from './no';
import { da } from './da';
import { fi } from './fi';
import { pl } from './pl';
import { cs } from './cs';
import type { Language } from './language';

export type { Language } from './language';

/** The languages that are read, the firm's own first: where two phrases begin at one place the earlier language's is taken. */
export const LANGUAGES: readonly Language[] = [en, de, fr, es, it, pt, nl, sv, no, da, fi, pl, cs];

/** Legal forms of other lands whose words are not read. */
export const OTHER_LEGAL_FORMS: readonly string[] = 'DOO KFT ZRT OOD EOOD UAB SIA'.split(' ');
