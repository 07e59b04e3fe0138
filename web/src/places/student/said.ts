/** Whether something is said: a text that is not only white space, or at least one choice. */
export function isSaid(answer: unknown): boolean {
  if (answer !== null && typeof answer === "object") {
    return Object.values(answer).some(isSaid);
  }
  return typeof answer === "string" && answer.trim() !== "";
}
