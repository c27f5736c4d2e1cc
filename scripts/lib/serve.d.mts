export interface Served {
  url: string;
  stopped: Promise<number | null>;
  stop: () => Promise<number | null>;
}

export function serve(options: {
  port: number;
  demo?: boolean;
  mode?: 'start' | 'dev';
}): Promise<Served>;
