import { describe, expect, it } from 'vitest'
import { auditSentence, type AuditView } from './audit-words'

const [ada, bo] = ['0197a000-0010-7000-8000-000000000001', '0197a000-0010-7000-8000-000000000002']
const names = new Map([[ada, 'Ada Weir']])
const sentence = (line: Omit<AuditView, 'at'>) =>
  auditSentence({ at: '2026-05-12T09:40:00.000Z', ...line }, (id) => names.get(id))

describe('what was done, in words', () => {
  it.each([
    [{ what: 'signed-in', by: ada }, 'Ada Weir signed in'],
    [{ what: 'not-let-in', about: ada }, 'a wrong passphrase for Ada Weir'],
    [{ what: 'not-let-in' }, 'a name that nobody has was tried'],
    [{ what: 'shut-out', by: ada, about: bo }, 'Ada Weir shut out a device of somebody who works here no more'],
    [{ what: 'exported', about: 'register' }, 'whoever sits at the server took out a file: register'],
  ] as const)('%o', (line, words) => expect(sentence(line)).toBe(words))
})
