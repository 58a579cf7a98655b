/** `#rrggbb` in lower case from three or six digits, with or without the #; null if it is no colour. */
export function colourOf(text: string): string | null {
    const digits = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.exec(text.trim())?.[1]?.toLowerCase();
    return digits === undefined ? null : `#${digits.length === 3 ? digits.replace(/./g, '$&$&') : digits}`;
}
