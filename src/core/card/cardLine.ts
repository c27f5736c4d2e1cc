/** What a card is made of: figures with their names, in sections. */

/** One figure with its name. */
export interface CardLine {
  name: string;
  figure: string;
  note?: string;
}

export interface CardSection {
  title: string;
  lines: CardLine[];
  /** Whole sentences under them. */
  notes: string[];
}
