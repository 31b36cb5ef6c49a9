import { Type, type Static } from 'typebox';
import { fluidIds } from '../fluids/index.js';
import {
  CheckedSchema,
  ClosedSchema,
  ComponentFields,
  DeviationSchema,
  JobFields,
  KeptWaySchema,
  LineFields,
  LineWaySchema,
  MOST_PIECES,
  PieceLengthSchema,
  PieceSchema,
  PlaceKeySchema,
  MOST_PORT_NOTATION,
  PortFields,
  SensorSchema,
  WaiverSchema,
} from '../job/index.js';
import { counts, letters, OneKindOf, OneOf, Uuid, without } from '../schema/index.js';

const Id = Type.String({ minLength: 1, maxLength: 36 });
/** For a new row: an id of the sender's own choice, so that later commands of the same change can name it. */
const NewId = Type.Optional(Uuid);
/** The version the sender saw; another one on the server is a conflict. */
const Version = Type.Integer({ minimum: 1 });
/** One line of notation, such as `npt 1/8 f`. */
const Notation = Type.String({ maxLength: letters.notation });
/** Of a port: what it is, may be, or that it is not known. */
const PortNotation = Type.String({ maxLength: MOST_PORT_NOTATION });
const strict = { additionalProperties: false } as const;

/** What sits in a port, its connector in notation. */
export const SensorFieldsSchema = Type.Object(
  { name: SensorSchema.properties.name, notation: Notation, movedTo: SensorSchema.properties.movedTo },
  { ...strict, title: 'SensorFields' },
);
const SensorOrNone = Type.Union([SensorFieldsSchema, Type.Null()]);
const component = ComponentFields.properties;
const port = PortFields.properties;
const lineRow = { id: Id, version: Version };
const WayIndex = Type.Integer({ minimum: 0, maximum: MOST_PIECES });
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });
/** What stood beside it when it was taped is the command's to say. */
const TapedLength = Type.Object(without(PieceLengthSchema.properties, 'over'), strict);
/** What is decided of a hose. */
const PieceSet = Type.Partial(
  Type.Object({ ...without(PieceSchema.properties, 'key'), length: Type.Union([TapedLength, Type.Null()]) }, strict),
  strict,
);

export const commandSchemas = {
  'edit-job': Type.Object(
    {
      do: Type.Literal('edit-job'),
      version: Version,
      set: Type.Partial(Type.Object(without(JobFields.properties, 'waivers', 'deviations'), strict), strict),
    },
    strict,
  ),

  'add-component': Type.Object(
    {
      do: Type.Literal('add-component'),
      id: NewId,
      kind: component.kind,
      name: component.name,
      note: Type.Optional(component.note),
      part: component.part,
      metal: component.metal,
    },
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
      notation: PortNotation,
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
        Type.Object({
          label: port.label,
          notation: PortNotation,
          note: port.note,
          order: port.order,
          sensor: SensorOrNone,
          closed: Type.Union([ClosedSchema, Type.Null()]),
        }),
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
      /** False for fittings alone between the two ports. */
      hose: Type.Optional(Type.Boolean()),
      /** What is known of its hose already. */
      piece: Type.Optional(PieceSet),
    },
    strict,
  ),
  'edit-line': Type.Object(
    {
      do: Type.Literal('edit-line'),
      ...lineRow,
      set: Type.Partial(
        Type.Object(
          {
            ...without(LineFields.properties, 'pieces', 'ways', 'checked', 'fluid'),
            /** Null for what is usual for the service. */
            fluid: Type.Union([OneOf(fluidIds), Type.Null()]),
          },
          strict,
        ),
        strict,
      ),
    },
    strict,
  ),
  'edit-piece': Type.Object({ do: Type.Literal('edit-piece'), ...lineRow, piece: PlaceKeySchema, set: PieceSet }, strict),
  'take-way': Type.Object({ do: Type.Literal('take-way'), ...lineRow, at: WayIndex, ...KeptWaySchema.properties }, strict),
  'edit-way': Type.Object(
    {
      do: Type.Literal('edit-way'),
      ...lineRow,
      at: WayIndex,
      set: Type.Partial(Type.Object(without(LineWaySchema.properties, 'chosen'), strict), strict),
    },
    strict,
  ),
  /** A piece becomes two with a way between them, to be solved with this part in it. */
  'break-line': Type.Object(
    { do: Type.Literal('break-line'), ...lineRow, piece: PlaceKeySchema, use: Type.Optional(Type.Array(PartId, { maxItems: 3 })) },
    strict,
  ),
  /** The way between two pieces goes, and they are one piece again. */
  'join-line': Type.Object({ do: Type.Literal('join-line'), ...lineRow, at: WayIndex }, strict),
  /** A hose into a way, which becomes two. */
  'add-piece': Type.Object({ do: Type.Literal('add-piece'), ...lineRow, at: WayIndex }, strict),
  /** A hose out of the line: the ways on both sides become one. */
  'remove-piece': Type.Object({ do: Type.Literal('remove-piece'), ...lineRow, piece: PlaceKeySchema }, strict),
  'check-line': Type.Object({ do: Type.Literal('check-line'), ...lineRow, checked: Type.Union([CheckedSchema, Type.Null()]) }, strict),
  'accept-finding': Type.Object({ do: Type.Literal('accept-finding'), waiver: WaiverSchema }, strict),
  'withdraw-acceptance': Type.Object(
    { do: Type.Literal('withdraw-acceptance'), rule: WaiverSchema.properties.rule, at: WaiverSchema.properties.at },
    strict,
  ),
  deviate: Type.Object({ do: Type.Literal('deviate'), deviation: DeviationSchema }, strict),
  'follow-shop': Type.Object({ do: Type.Literal('follow-shop'), rule: DeviationSchema.properties.rule }, strict),
  'delete-line': Type.Object({ do: Type.Literal('delete-line'), ...lineRow }, strict),
};

export type CommandName = keyof typeof commandSchemas;
export type CommandOf<N extends CommandName> = Static<(typeof commandSchemas)[N]>;
export type Command = { [N in CommandName]: CommandOf<N> }[CommandName];
export type SensorFields = Static<typeof SensorFieldsSchema>;

export const CommandSchema = Type.Unsafe<Command>(OneKindOf('do', Object.values(commandSchemas), 'Command'));

/** Most commands of one change. */
export const MOST_COMMANDS = counts.commandsOfChange;
