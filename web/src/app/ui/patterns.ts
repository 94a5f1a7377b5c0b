import { ChangeDetectionStrategy, Component } from '@angular/core';

/**
 * Patterns of the enamel look, once per page: grain = ellipses, meat = hatch up-right, heat = hatch down-right,
 * liquid = waves, steam at pressure = level lines, leaf = rings, rind = dots. Meaning is never by colour alone.
 */
@Component({
  selector: 'ek-patterns',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg width="0" height="0" aria-hidden="true" style="position:absolute">
      <defs>
        <pattern id="p-grain" width="18" height="12" patternUnits="userSpaceOnUse">
          <rect width="18" height="12" fill="var(--turmeric-tint)" />
          <g fill="var(--turmeric-fill)" stroke="var(--turmeric)" stroke-width="0.9">
            <ellipse cx="5" cy="3" rx="4.6" ry="1.9" transform="rotate(-14 5 3)" />
            <ellipse cx="14" cy="5.4" rx="4.6" ry="1.9" transform="rotate(12 14 5.4)" />
            <ellipse cx="6" cy="9" rx="4.6" ry="1.9" transform="rotate(8 6 9)" />
            <ellipse cx="15" cy="11" rx="4.6" ry="1.9" transform="rotate(-10 15 11)" />
          </g>
        </pattern>
        <pattern id="p-meat" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--plum-tint)" />
          <path d="M2 0v9" stroke="var(--plum)" stroke-width="1.8" />
        </pattern>
        <pattern id="p-heat" width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <rect width="10" height="10" fill="var(--paprika-tint)" />
          <path d="M2 0v10" stroke="var(--paprika)" stroke-width="1.8" />
        </pattern>
        <pattern id="p-liquid" width="20" height="10" patternUnits="userSpaceOnUse">
          <rect width="20" height="10" fill="var(--steam-tint)" />
          <path d="M0 5q5 -4 10 0t10 0" fill="none" stroke="var(--steam)" stroke-width="1.4" />
        </pattern>
        <pattern id="p-steam" width="10" height="7" patternUnits="userSpaceOnUse">
          <rect width="10" height="7" fill="var(--steam-tint)" />
          <path d="M0 3.5h10" stroke="var(--steam)" stroke-width="1.3" />
        </pattern>
        <pattern id="p-leaf" width="16" height="16" patternUnits="userSpaceOnUse">
          <rect width="16" height="16" fill="var(--leaf-tint)" />
          <g fill="none" stroke="var(--leaf)" stroke-width="1.4">
            <circle cx="4" cy="4" r="3.2" />
            <circle cx="12" cy="12" r="3.2" />
          </g>
          <g fill="var(--leaf)">
            <circle cx="4" cy="4" r="0.9" />
            <circle cx="12" cy="12" r="0.9" />
          </g>
        </pattern>
        <pattern id="p-rind" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--rind)" />
          <circle cx="2" cy="2" r="1" fill="var(--ink)" fill-opacity="0.55" />
          <circle cx="6" cy="6" r="1" fill="var(--ink)" fill-opacity="0.55" />
        </pattern>
      </defs>
    </svg>
  `,
})
export class Patterns {}

/** Pattern of a kind of food or stage. */
export const patternOf = (kind: string): string => {
  switch (kind) {
    case 'grain':
      return 'url(#p-grain)';
    case 'meat':
    case 'fry':
    case 'heat':
      return kind === 'meat' ? 'url(#p-meat)' : 'url(#p-heat)';
    case 'liquid':
    case 'heat-up':
    case 'sauce':
      return 'url(#p-liquid)';
    case 'vegetable':
    case 'finish':
      return 'url(#p-leaf)';
    case 'first':
    case 'hold':
    case 'natural':
    case 'vent':
      return 'url(#p-steam)';
    default:
      return 'url(#p-rind)';
  }
};
