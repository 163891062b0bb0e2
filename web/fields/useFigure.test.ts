import { beforeEach, describe, expect, test } from '@jest/globals';
import { createRenderer, h, nextTick, ref, type Ref } from 'vue';
import { accepted, issue, refused, type Issue, type Result } from '@azulejo/core/result';
import { useFieldTroubles } from './fieldTroubles.ts';
import { thingsChanged } from './tryAgain.ts';
import { useFigure } from './useFigure.ts';

/** A page of nothing: what is mounted on it lives and goes as it does in a browser. */
const { createApp } = createRenderer<object, object>({
  createElement: () => ({}),
  createText: () => ({}),
  createComment: () => ({}),
  insert: () => undefined,
  remove: () => undefined,
  setText: () => undefined,
  setElementText: () => undefined,
  patchProp: () => undefined,
  parentNode: () => null,
  nextSibling: () => null,
});

const read = (text: string): Result<number> =>
  /^\d+$/.test(text) ? accepted(Number(text)) : refused(issue('number/unreadable', [], { text, most: 500, least: 0, unit: '' }));

/** What is in force, and the largest that is taken. */
let figure: Ref<number>;
let most: Ref<number>;
let taken: number[];
const commit = (value: number): readonly Issue[] => {
  if (value > most.value) return [issue('field/too-large', [], { most: most.value, value })];
  taken.push(value);
  figure.value = value;
  return [];
};

/** A field on a form, as it is shown. */
function mounted() {
  let field!: ReturnType<typeof useFigure>;
  let isTroubled!: ReturnType<typeof useFieldTroubles>;
  const Field = {
    setup() {
      field = useFigure({ shown: () => String(figure.value), read, commit });
      return () => h('i', field.text.value);
    },
  };
  const app = createApp({
    setup() {
      isTroubled = useFieldTroubles();
      return () => h(Field);
    },
  });
  app.mount({});
  return { field, troubled: () => isTroubled.value, unmount: () => app.unmount() };
}

beforeEach(() => {
  [figure, most, taken] = [ref(10), ref(500), []];
});

describe('a field for a figure', () => {
  test('takes what is typed, once, and shows what is in force', async () => {
    const { field } = mounted();
    field.text.value = '25';
    field.take();
    field.take();
    await nextTick();
    expect([taken, field.text.value, field.trouble.value]).toEqual([[25], '25', null]);
    figure.value = 40;
    await nextTick();
    expect(field.text.value).toBe('40');
  });

  test('keeps what can not be read with its reason, and tells the form; taken back it is quiet', async () => {
    const { field, troubled } = mounted();
    field.text.value = 'two';
    field.take();
    await nextTick();
    expect([field.text.value, taken, troubled()]).toEqual(['two', [], true]);
    expect(field.trouble.value).toContain('two');
    // What others change does not take away what was typed.
    figure.value = 11;
    await nextTick();
    expect(field.text.value).toBe('two');
    field.text.value = '11';
    field.take();
    await nextTick();
    expect([field.trouble.value, taken, troubled()]).toEqual([null, [], false]);
  });

  test('is tried again when something else was changed: no refusal outlives its cause', async () => {
    const { field } = mounted();
    most.value = 20;
    field.text.value = '30';
    field.take();
    await nextTick();
    expect(field.trouble.value).not.toBeNull();
    thingsChanged();
    await nextTick();
    expect([taken, field.trouble.value === null]).toEqual([[], false]);
    most.value = 100;
    thingsChanged();
    await nextTick();
    await nextTick();
    expect([taken, field.trouble.value, field.text.value]).toEqual([[30], null, '30']);
  });

  test('that goes takes what was typed with it, and leaves what can not be read behind', async () => {
    const one = mounted();
    one.field.text.value = '77';
    one.unmount();
    await nextTick();
    expect(taken).toEqual([77]);
    const other = mounted();
    other.field.text.value = 'x';
    other.unmount();
    expect(taken).toEqual([77]);
  });
});
