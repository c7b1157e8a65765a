/** Degrees Fahrenheit of a temperature in °C: t·9/5 + 32 exactly (NIST SP 811, appendix B). */
export const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32
