import { Pipe, type PipeTransform } from '@angular/core';
import { bandKey } from '@einkorn/core';

/** Key of a band's word in a dish of this family: `t('band.' + (band | bandKey: family))`. */
@Pipe({ name: 'bandKey' })
export class BandKeyPipe implements PipeTransform {
  transform(band: string, family: string | undefined): string {
    return bandKey(family ?? '', band);
  }
}
