import { bay } from './bay'
import { bench } from './bench'
import { common } from './common'
import { forms } from './forms'
import { jobSheet } from './job-sheet'
import { machine } from './machine'
import { practice } from './practice'
import { shelf } from './shelf'
import { shell } from './shell'
import { shop } from './shop'
import { specBook } from './spec-book'

export const screens = {
  ...common,
  ...shell,
  ...bay,
  ...bench,
  ...forms,
  ...jobSheet,
  ...machine,
  ...practice,
  ...shelf,
  ...shop,
  ...specBook,
}
