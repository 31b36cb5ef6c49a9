import { TestBed } from '@angular/core/testing';
import { services, type SealKind } from '@gewinde/core';
import { render } from '../../test/open-job';
import { Dial } from './dial';
import { Icon } from './icon';
import { SealGlyph } from './seal-glyph';
import { ServiceGlyph } from './service-glyph';

const kinds: SealKind[] = ['cone', 'o-ring', 'washer', 'two-washers', 'taper', 'clamp', 'olive', 'socket', 'none'];

describe('glyphs', () => {
  it('are drawn differently for every way of sealing, with a word for each', async () => {
    const seen = new Map<string, string>();
    for (const kind of kinds) {
      const glyph = await render(SealGlyph, { kind });
      seen.set(glyph.find('path').getAttribute('d')!, glyph.find('svg').getAttribute('aria-label')!);
    }
    expect(seen.size).toBe(kinds.length);
    expect(new Set(seen.values()).size).toBe(kinds.length);
  });

  it('are drawn differently for every service, named as the service', async () => {
    const paths = new Set<string>();
    for (const { id, name } of services) {
      const glyph = await render(ServiceGlyph, { service: id });
      paths.add(glyph.find('path').getAttribute('d')!);
      expect(glyph.find('svg').getAttribute('aria-label')).toBe(name);
    }
    expect(paths.size).toBe(services.length);
  });

  it('hide icons from those who listen', async () => {
    const icon = await render(Icon, { name: 'trash' });
    expect(icon.find('.icon').getAttribute('aria-hidden')).toBe('true');
  });
});

describe('the dial', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('says that it is open, and points where it is set', async () => {
    const open = await render(Dial);
    expect(open.find('svg').getAttribute('aria-label')).toBe('Clocking open');
    open.fixture.componentRef.setInput('angle', 45);
    await open.stable();
    expect(open.find('.near').getAttribute('transform')).toBe('rotate(45)');
    expect(open.find('svg').getAttribute('aria-label')).toContain('45°');
  });
});
