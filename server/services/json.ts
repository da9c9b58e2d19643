import { boundedJson, holdable } from '../../core/validation/holdable'

/**
 * JSON from bytes that came from outside: UTF-8 and not nested so deep that reading it could break the reader.
 *
 * @throws SyntaxError saying what is wrong with the text, InputError naming a field that holds what nothing can keep
 */
export function jsonOf(bytes: Uint8Array): unknown {
  const plain = boundedJson(utf8(bytes))
  holdable(plain)
  return plain
}

function utf8(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw new SyntaxError('it is not UTF-8 text')
  }
}
