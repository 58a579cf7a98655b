/** Signs of the rulings, shown in addition to colours. */
export const signs: Record<string, string> = { allowed: '✓', 'allowed-with-duties': '§', look: '!', 'not-allowed': '✕' };

/** CSS classes of the rulings, shared with the gauges. */
export const tones: Record<string, string> = { allowed: 'pass', 'allowed-with-duties': 'warn', look: 'warn', 'not-allowed': 'fail' };

export const short: Record<string, string> = { allowed: 'allowed', 'allowed-with-duties': 'duties', look: 'look', 'not-allowed': 'not allowed' };

export const NO_ADVICE = 'By the terms as this shop has stated them. No legal advice: what holds is for the licences, the owners and a lawyer to say.';
