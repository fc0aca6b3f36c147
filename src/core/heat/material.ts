/** What a dough or a butter is made of, for heat. */
export interface Material {
  /** W/(m·K), above freezing. */
  conductivity: number;
  /** kg/m³. */
  density: number;
  /** Specific heat by bands of temperature: each holds from `from` °C up to the next; the first reaches down for ever. */
  heats: { from: number; heat: number }[];
  /** Below `from` °C ice forms; `latent` kJ/kg are held back by −18 °C. */
  freezing?: { from: number; latent: number; heat: number; conductivity: number };
}

/** Yeasted dough. Freezing: some 130 kJ/kg below about −4 °C. */
export const DOUGH: Material = {
  ...{ conductivity: 0.38, density: 1120, heats: [{ from: -Infinity, heat: 2.9 }] },
  freezing: { from: -4, latent: 130, heat: 1.9, conductivity: 0.9 },
};

/** Butter: its fat melts between fridge and room, so its apparent heat is high there. */
export const BUTTER: Material = {
  conductivity: 0.2,
  density: 950,
  heats: [
    { from: -Infinity, heat: 2.4 },
    { from: 5, heat: 4.3 },
    { from: 25, heat: 2.3 },
  ],
};

/** Specific heat, kJ/(kg·K), above freezing at a temperature. */
export function heatAt({ heats }: Material, celsius: number): number {
  let at = heats.length - 1;
  while (at > 0 && celsius < (heats[at]?.from ?? 0)) at--;
  return heats[at]?.heat ?? 1;
}

/** Enthalpy of a material against 0 °C, kJ/kg, both ways. */
export interface Enthalpy {
  of(celsius: number): number;
  celsiusOf(enthalpy: number): number;
  /** dT/dh at a temperature, K·kg/kJ. */
  slope(celsius: number): number;
  /** Conductivity where it may be part frozen, W/(m·K). */
  conductivity(celsius: number): number;
}

/**
 * Enthalpy with a freezing curve after the ideal solution: the share of ice at T is 1 − Tf / T, so most of the heat is
 * given off just below Tf and some until deep frost. Scaled so that `latent` is given off by −18 °C.
 */
export function enthalpyOf(material: Material): Enthalpy {
  const { freezing } = material;
  const sensible = bands(material);
  if (!freezing) return { ...sensible, conductivity: () => material.conductivity };
  const { from: begin, latent, heat, conductivity } = freezing;
  const whole = latent / (1 - begin / -18);
  const atBegin = sensible.of(begin);
  const ice = (celsius: number) => (celsius < begin ? 1 - begin / celsius : 0);
  return {
    of: (celsius) =>
      celsius >= begin ? sensible.of(celsius) : atBegin + heat * (celsius - begin) - whole * ice(celsius),
    celsiusOf(enthalpy) {
      if (enthalpy >= atBegin) return sensible.celsiusOf(enthalpy);
      // heat·T² − (heat·Tf + whole + h)·T + whole·Tf = 0; the root below Tf.
      const b = heat * begin + whole + (enthalpy - atBegin);
      return (b - Math.sqrt(b * b - 4 * heat * whole * begin)) / (2 * heat);
    },
    slope: (celsius) =>
      celsius >= begin ? sensible.slope(celsius) : 1 / (heat - (whole * begin) / (celsius * celsius)),
    conductivity: (celsius) =>
      material.conductivity + (conductivity - material.conductivity) * Math.min(1, ice(celsius) / 0.8),
  };
}

/** Enthalpy without freezing: straight within each band. */
function bands(material: Material): Omit<Enthalpy, 'conductivity'> {
  const { heats } = material;
  const of = (celsius: number): number => {
    let sum = 0;
    heats.forEach(({ from, heat }, i) => {
      const to = heats[i + 1]?.from ?? Infinity;
      const low = Math.max(from, Math.min(0, celsius));
      const high = Math.min(to, Math.max(0, celsius));
      if (high > low) sum += heat * (high - low);
    });
    return celsius < 0 ? -sum : sum;
  };
  const knots = heats.slice(1).map(({ from }) => ({ celsius: from, enthalpy: of(from) }));
  return {
    of,
    celsiusOf(enthalpy) {
      let at = knots.length - 1;
      while (at >= 0 && enthalpy < (knots[at]?.enthalpy ?? 0)) at--;
      const heat = heats[at + 1]?.heat ?? 1;
      const base = knots[Math.max(0, at)];
      return base ? base.celsius + (enthalpy - base.enthalpy) / heat : enthalpy / heat;
    },
    slope: (celsius) => 1 / heatAt(material, celsius),
  };
}
