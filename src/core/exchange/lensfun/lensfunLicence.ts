/** What the data of the Lensfun database is under; it goes with every record taken over. */
export const LENSFUN_LICENCE = 'Lensfun database, CC BY-SA 3.0';
