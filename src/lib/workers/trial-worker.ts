import { tryFiles } from '../server/trial/try-files';

/** Answers a trial run in a thread of its own, so that nobody waits for it. */
export default tryFiles;
