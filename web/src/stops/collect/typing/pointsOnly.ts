const place = (assessment: string) => `scholion.typed-points:${assessment}`;

/** Whether points are typed for every question of an assessment, remembered on this device. */
export const pointsOnly = {
  of: (assessment: string): boolean => localStorage.getItem(place(assessment)) === "yes",
  set: (assessment: string, on: boolean) =>
    on ? localStorage.setItem(place(assessment), "yes") : localStorage.removeItem(place(assessment)),
};
