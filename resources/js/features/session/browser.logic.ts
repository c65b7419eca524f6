/** The name in what a browser calls itself: the last product of it that has a version, which is its own with most of them. */
export function browserName(agent: string): string {
  const products = agent.match(/[A-Za-z]+\/[\d.]+/g) ?? [];
  const own = products.filter((product) => !/^(Mozilla|AppleWebKit|Gecko|Safari|Version)\//.test(product)).at(-1) ?? products.at(-1);
  return own === undefined ? agent : own.replace('/', ' ').replace(/(\d+)\.[\d.]*/, '$1');
}
