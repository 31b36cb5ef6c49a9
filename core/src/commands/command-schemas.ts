import { Type, type Static } from 'typebox';
import { ChainLinkSchema } from '../chains/index.js';
import { ComponentFields, JobFields, LineBranchSchema, LineFields, PortFields, SensorSchema } from '../job/index.js';
import { OneKindOf, OneOf, Uuid } from '../schema/index.js';

const Id = Type.String({ minLength: 1, maxLength: 36 });
/** For a new row: an id of the sender's own choice, so that later commands of the same change can name it. */
const NewId = Type.Optional(Uuid);
/** The version the sender saw; another one on the server is a conflict. */
const Version = Type.Integer({ minimum: 1 });
/** One line of notation, such as `npt 1/8 f`. */
const Notation = Type.String({ maxLength: 80 });
const strict = { additionalProperties: false } as const;

/** What sits in a port, its connector in notation. */
export const SensorFieldsSchema = Type.Object(
  { name: SensorSchema.properties.name, notation: Notation, movedTo: SensorSchema.properties.movedTo },
  { ...strict, title: 'SensorFields' },
);
const SensorOrNone = Type.Union([SensorFieldsSchema, Type.Null()]);
const component = ComponentFields.properties;
const port = PortFields.properties;

export const commandSchemas = {
  'edit-job': Type.Object({ do: Type.Literal('edit-job'), version: Version, set: Type.Partial(JobFields, strict) }, strict),

  'add-component': Type.Object(
    { do: Type.Literal('add-component'), id: NewId, kind: component.kind, name: component.name, note: Type.Optional(component.note) },
    strict,
  ),
  'edit-component': Type.Object(
    { do: Type.Literal('edit-component'), id: Id, version: Version, set: Type.Partial(ComponentFields, strict) },
    strict,
  ),
  'duplicate-component': Type.Object({ do: Type.Literal('duplicate-component'), id: Id, newId: NewId }, strict),
  'delete-component': Type.Object({ do: Type.Literal('delete-component'), id: Id, version: Version }, strict),

  'add-port': Type.Object(
    {
      do: Type.Literal('add-port'),
      id: NewId,
      componentId: Id,
      label: port.label,
      notation: Notation,
      note: Type.Optional(port.note),
      sensor: Type.Optional(SensorOrNone),
    },
    strict,
  ),
  'edit-port': Type.Object(
    {
      do: Type.Literal('edit-port'),
      id: Id,
      version: Version,
      set: Type.Partial(
        Type.Object({ label: port.label, notation: Notation, note: port.note, position: port.position, sensor: SensorOrNone }),
        strict,
      ),
    },
    strict,
  ),
  'duplicate-port': Type.Object({ do: Type.Literal('duplicate-port'), id: Id, newId: NewId }, strict),
  'delete-port': Type.Object({ do: Type.Literal('delete-port'), id: Id, version: Version }, strict),

  'add-line': Type.Object(
    {
      do: Type.Literal('add-line'),
      id: NewId,
      name: Type.Optional(LineFields.properties.name),
      service: LineFields.properties.service,
      fromPortId: Id,
      toPortId: Id,
    },
    strict,
  ),
  'edit-line': Type.Object({ do: Type.Literal('edit-line'), id: Id, version: Version, set: Type.Partial(LineFields, strict) }, strict),
  'take-way': Type.Object(
    {
      do: Type.Literal('take-way'),
      id: Id,
      version: Version,
      side: OneOf(['A', 'B']),
      fittings: Type.Array(ChainLinkSchema, { maxItems: 6 }),
      branches: Type.Array(LineBranchSchema, { maxItems: 12 }),
    },
    strict,
  ),
  'delete-line': Type.Object({ do: Type.Literal('delete-line'), id: Id, version: Version }, strict),
};

export type CommandName = keyof typeof commandSchemas;
export type CommandOf<N extends CommandName> = Static<(typeof commandSchemas)[N]>;
export type Command = { [N in CommandName]: CommandOf<N> }[CommandName];
export type SensorFields = Static<typeof SensorFieldsSchema>;

export const CommandSchema = Type.Unsafe<Command>(OneKindOf('do', Object.values(commandSchemas), 'Command'));

/** Most commands of one change. */
export const MOST_COMMANDS = 1000;
