import { describe, expect, test } from '@jest/globals';
import { describeChange } from '../../messages/en/changes.ts';
import { CHANGE_CODES, changeLabel, labelOn, LONGEST_LABEL, readLabel } from './changeLabel.ts';

describe('what a change is called', () => {
  test('is told with what it was done to and where', () => {
    expect(describeChange('setoutRule')).toBe('Setout rule');
    expect(describeChange(labelOn('setoutRule', 'Shop floor'))).toBe('Setout rule, Shop floor');
    expect(describeChange(labelOn(changeLabel('wallLength', 'window side'), 'Shop floor'))).toBe('Wall, window side, Shop floor');
    expect(describeChange(changeLabel('materialFigureAsUsual', 'coats'))).toMatch(/^[A-Z][a-z ]+, as usual$/);
    expect(describeChange(changeLabel('packPrice', 'grout'))).toBe('Grout: price of a pack');
    expect(describeChange(labelOn('joint'))).toBe('Joint');
  });

  test('keeps what was written down before there were codes', () => {
    expect(describeChange('Wall length, Shop floor')).toBe('Wall length, Shop floor');
    expect(readLabel('Wall length')).toBeNull();
  });

  test('each code has words that begin like words, whatever it was done to', () => {
    for (const code of CHANGE_CODES) expect(describeChange(changeLabel(code, 'oak'))).toMatch(/^(\p{Lu}|oak)/u);
  });

  test('a name never passes for another part, and never makes a label too long to be kept', () => {
    const label = labelOn(changeLabel('fixtureName', 'a|b'), `Kitchen|${'x'.repeat(200)}😀`);
    expect(readLabel(label)).toMatchObject({ code: 'fixtureName', of: 'a/b' });
    expect(label.length).toBeLessThanOrEqual(LONGEST_LABEL);
    expect(label.isWellFormed()).toBe(true);
  });
});
