/** The one database of this page. Opened on first use, in the browser only. */
import { HaloDatabase } from './db';

export const db = new HaloDatabase();
