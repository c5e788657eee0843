/** The stages there are, in the order of work; keys 1, 2, 3 … go to them. */
export const STAGES = [
  { id: 'master', text: 'Master' },
  { id: 'approach', text: 'Approach' },
  { id: 'mould', text: 'Mould' },
  { id: 'rubber', text: 'Rubber' },
  { id: 'pours', text: 'Pours' },
  { id: 'days', text: 'Days' },
  { id: 'bench', text: 'Bench' },
  { id: 'casts', text: 'Casts' },
  { id: 'log', text: 'Log' },
] as const;
