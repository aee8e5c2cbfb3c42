import { de } from './de';
import { en } from './en';
import { es } from './es';
import { fr } from './fr';
import { it } from './it';
import { nl } from './nl';
import type { HeadingWords } from './language';

/** Every language that headings are known in; English first. */
export const HEADING_LANGUAGES: readonly HeadingWords[] = [en, de, es, fr, it, nl];
