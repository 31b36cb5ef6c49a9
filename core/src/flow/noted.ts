/**
 * A function of something that never changes, and of what else it is asked with: the last answer is kept with the thing, as long as that else
 * is the same.
 */
export function noted<K extends object, O, T>(find: (key: K, other: O) => T): (key: K, other: O) => T {
  const answers = new WeakMap<K, { readonly other: O; readonly answer: T }>();
  return (key, other) => {
    const known = answers.get(key);
    if (known && known.other === other) return known.answer;
    const answer = find(key, other);
    answers.set(key, { other, answer });
    return answer;
  };
}
