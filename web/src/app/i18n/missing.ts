import { Injectable } from '@angular/core';
import type { TranslocoMissingHandler } from '@jsverse/transloco';

/** A food of another cook's own is called by the words of its id: `food.own-smoked-tofu` is "smoked tofu". */
@Injectable()
export class MissingWords implements TranslocoMissingHandler {
  handle(key: string): string {
    const own = /^food\.own-(.+)$/.exec(key);
    if (own) return own[1]!.replaceAll('-', ' ');
    console.warn(`No words for ${key}`);
    return key;
  }
}
