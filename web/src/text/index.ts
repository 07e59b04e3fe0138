import i18next from "i18next";
import en from "./en.json";

/**
 * Every text of the interface goes through `t`. The English sentence is the key, so that a screen reads as it looks;
 * another language is a file beside `en.json`, which itself holds only the forms that differ by number.
 */
void i18next.init({
  lng: "en",
  fallbackLng: "en",
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
  resources: { en: { translation: en } },
});

export const t = i18next.t.bind(i18next);

/** The reader's own locale, for dates, decimals and sorting. */
export const locale = typeof navigator === "undefined" ? "en" : navigator.language;
