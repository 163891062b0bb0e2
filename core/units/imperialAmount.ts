/** Units that amounts are kept in. */
type AmountUnit = 'kg' | 'l' | 'ml' | 'm' | 'm2' | 'm3';

const LB_PER_KG = 1 / 0.45359237;
const ML_PER_FL_OZ = 29.5735295625;
const FL_OZ_PER_QT = 32;
const FL_OZ_PER_GAL = 128;
const FT_PER_M = 1 / 0.3048;

/** Three figures that count, and no more than two after the point. */
const short = (value: number): string => String(Number(value.toFixed(value >= 100 ? 0 : value >= 10 ? 1 : 2)));

/** An amount as it is weighed and poured by feet and inches (US customary units): "31.7 lb", "1.1 qt". */
export function imperialAmount(quantity: number, unit: AmountUnit): string {
  switch (unit) {
    case 'kg':
      return `${short(quantity * LB_PER_KG)} lb`;
    case 'l':
      return imperialAmount(quantity * 1000, 'ml');
    case 'ml': {
      const ounces = quantity / ML_PER_FL_OZ;
      if (ounces >= FL_OZ_PER_GAL) return `${short(ounces / FL_OZ_PER_GAL)} gal`;
      return ounces >= FL_OZ_PER_QT ? `${short(ounces / FL_OZ_PER_QT)} qt` : `${short(ounces)} fl oz`;
    }
    case 'm':
      return `${short(quantity * FT_PER_M)} ft`;
    case 'm2':
      return `${short(quantity * FT_PER_M ** 2)} ft²`;
    case 'm3':
      return `${short((quantity * FT_PER_M ** 3) / 27)} yd³`;
  }
}
