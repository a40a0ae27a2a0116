/**
 * A cell that a spreadsheet would take for a formula begins with one of these, wide ones where it is Japanese, or did before
 * it was made inert by an apostrophe. Source: OWASP, CSV Injection.
 */
export const FORMULA = /^'*[=+\-@\t\r\n＝＋－＠]/;
