import { effect, inject, Injectable, RendererFactory2, type Provider, type Renderer2 } from '@angular/core';
import { ɵDomRendererFactory2 as DomRendererFactory } from '@angular/platform-browser';
import { hasQuantities, inHouseUnits } from '@gewinde/core';
import { Preferences } from '../data/preferences';

/** The text of a node, beside its attributes and properties by their names. */
const TEXT = '#text';

/**
 * Says the quantities in sentences of the core in the units of the house, at the one place where all that is shown goes through: texts,
 * attributes and properties as they are written to the page. When the house changes its units, what stands there is said anew.
 */
@Injectable()
class HouseRenderers {
  private readonly preferences = inject(Preferences);
  private readonly heard = new WeakSet<Renderer2>();
  /** What was to be written, where it has quantities. */
  private readonly written = new WeakMap<object, Map<string, { readonly text: string; readonly write: (said: string) => void }>>();

  constructor() {
    effect(() => {
      this.preferences.system();
      this.sayAnew(document.body);
    });
  }

  /** Makes a renderer say quantities; once. */
  hear(renderer: Renderer2): Renderer2 {
    if (this.heard.has(renderer)) return renderer;
    this.heard.add(renderer);
    const createText = renderer.createText.bind(renderer) as (text: string) => object;
    const setValue = renderer.setValue.bind(renderer);
    const setAttribute = renderer.setAttribute.bind(renderer);
    const setProperty = renderer.setProperty.bind(renderer);
    renderer.createText = (text: string) => {
      const node = createText(text);
      this.say(node, TEXT, text, (said) => setValue(node, said));
      return node;
    };
    renderer.setValue = (node: object, text: string) => {
      if (!this.say(node, TEXT, text, (said) => setValue(node, said))) setValue(node, text);
    };
    renderer.setAttribute = (on: object, name, value, namespace) => {
      if (!this.say(on, name, value, (said) => setAttribute(on, name, said, namespace))) setAttribute(on, name, value, namespace);
    };
    renderer.setProperty = (on: object, name, value: unknown) => {
      if (!this.say(on, name, value, (said) => setProperty(on, name, said))) setProperty(on, name, value);
    };
    return renderer;
  }

  /** @returns whether there was a quantity to be said */
  private say(on: object, name: string, text: unknown, write: (said: string) => void): boolean {
    if (typeof text !== 'string' || !hasQuantities(text)) {
      this.written.get(on)?.delete(name);
      return false;
    }
    const here = this.written.get(on) ?? new Map<string, { text: string; write: (said: string) => void }>();
    this.written.set(on, here.set(name, { text, write }));
    write(inHouseUnits(text, this.preferences.system()));
    return true;
  }

  private sayAnew(root: Node): void {
    const nodes = document.createTreeWalker(root, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT);
    for (let node = nodes.nextNode(); node; node = nodes.nextNode())
      for (const { text, write } of this.written.get(node)?.values() ?? []) write(inHouseUnits(text, this.preferences.system()));
  }
}

/** Shows every sentence of the core in the units of the house. */
export function provideHouseUnits(): Provider[] {
  return [
    HouseRenderers,
    {
      provide: RendererFactory2,
      useFactory: (): RendererFactory2 => {
        const dom = inject(DomRendererFactory);
        const house = inject(HouseRenderers);
        const create = dom.createRenderer.bind(dom);
        dom.createRenderer = (host, type) => house.hear(create(host, type));
        return dom;
      },
    },
  ];
}
