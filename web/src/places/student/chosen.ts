/** The options chosen after one was touched: let go where it was chosen, in place of another where one is asked. */
export function afterTouch(chosen: string[], id: string, max: number): string[] {
  if (chosen.includes(id)) {
    return chosen.filter((c) => c !== id);
  }
  if (max <= 1) {
    return [id];
  }
  return chosen.length < max ? [...chosen, id] : chosen;
}
