type Quota = { code: string; take: number };

/** `2 T1, 2 T2` or `2 on T1`: how many on which standard. What is not finished yet is left out. */
export function quotasOf(typed: string): Quota[] {
  return typed.split(",").flatMap((one) => {
    const found = /^\s*(\d+)\s+(?:on\s+)?(\S+)\s*$/.exec(one);
    return found ? [{ code: found[2] ?? "", take: Number(found[1]) }] : [];
  });
}

export function quotasText(quotas: Quota[] | undefined): string {
  return (quotas ?? []).map((q) => `${q.take} ${q.code}`).join(", ");
}
