/** What stands in the zip for whoever opens it, in years too. */
export const README = `Everything of a shop, as open files, from Wembric.

csv/     each table as CSV (UTF-8, comma, first line the names): opens in any spreadsheet
json/    the same, one JSON object a line: exact, for programs
photos/  photos of jobs and machines; "-small" is the small one
pages/   photographed pages of manuals, by the id of their revision

shops       the shop itself            people       who worked there
customers   owners                     machines     their machines
engine_models, spec_revisions          the spec book; a revision's figures are in "content" or beside it
jobs        each job; "pin" is the shelf and the engine as they were when it was opened
events      what was answered in a job, in order: the log that everything else is made from
readings    what was measured, by valve and phase
sheets      job sheets as they were signed
shop_log    sign-ins and changes outside of jobs

Times are UTC (ISO 8601), lengths millimeters, torques newton meters. Passwords, PINs, keys of other
software and calendar addresses are secrets and are not in here.

The way back in, on a computer with Wembric:

  WEMBRIC_DATA=/new/folder npm run restore -- /path/to/this.zip

It makes a shop of these files in a new data folder, and prints a one-time code by which its first lead
chooses a new password.
`
