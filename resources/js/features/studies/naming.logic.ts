/** The longest short name. */
const longest = 63;

/** A short name for addresses and commands, from a name: lower-case letters, digits and hyphens. */
export function slugOf(name: string): string {
  return name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, longest)
    .replace(/^-+|-+$/g, '');
}

/** A name for a study, from a domain: "www.thornfield-apiary.example/shop" becomes "Thornfield apiary". */
export function nameOf(domain: string): string {
  const host = domain
    .trim()
    .replace(/^[a-z]+:\/\//i, '')
    .replace(/^www\./i, '')
    .split(/[/:?#]/)[0];
  const words = (host?.split('.')[0] ?? '').replace(/[-_]+/g, ' ').trim();
  return words.charAt(0).toUpperCase() + words.slice(1);
}
