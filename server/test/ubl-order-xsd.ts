/**
 * The elements of an OASIS UBL 2.1 Order that this app writes, in the order in which UBL-Order-2.1.xsd and its common components have them: from memory,
 * for the registry carries no schema files of UBL. What UBL allows beside them is left out: the check is stricter than the standard.
 */
const BASIC = 'urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2';
const AGGREGATE = 'urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2';
const ORDER = 'urn:oasis:names:specification:ubl:schema:xsd:Order-2';

const schema = (
  target: string,
  uses: readonly [prefix: string, namespace: string, file: string][],
  body: string,
): string => `<?xml version="1.0"?>
<xs:schema xmlns:xs="http://www.w3.org/2001/XMLSchema" targetNamespace="${target}" elementFormDefault="qualified" ${uses.map(([p, n]) => `xmlns:${p}="${n}"`).join(' ')}>
${uses
  .filter(([, , file]) => file !== '')
  .map(([, n, file]) => `<xs:import namespace="${n}" schemaLocation="${file}"/>`)
  .join('')}
${body}</xs:schema>`;

const texts = ['UBLVersionID', 'ID', 'Note', 'CustomerReference', 'Name', 'AllowanceChargeReason'];
const amounts = ['Amount', 'LineExtensionAmount', 'ChargeTotalAmount', 'PayableAmount', 'PriceAmount'];
const quantities = ['Quantity', 'BaseQuantity'];
const measured = (name: string, unit: string): string =>
  `<xs:element name="${name}"><xs:complexType><xs:simpleContent><xs:extension base="xs:decimal"><xs:attribute name="${unit}" type="xs:token" use="required"/></xs:extension></xs:simpleContent></xs:complexType></xs:element>`;

export const basicXsd = schema(
  BASIC,
  [],
  [
    ...texts.map((name) => `<xs:element name="${name}" type="xs:string"/>`),
    '<xs:element name="IssueDate" type="xs:date"/><xs:element name="EndDate" type="xs:date"/>',
    '<xs:element name="DocumentCurrencyCode" type="xs:token"/><xs:element name="ChargeIndicator" type="xs:boolean"/>',
    ...amounts.map((name) => measured(name, 'currencyID')),
    ...quantities.map((name) => measured(name, 'unitCode')),
  ].join('\n'),
);

/** `?` may be left out, `*` stands as often as there are. */
const sequence = (parts: string): string =>
  `<xs:complexType><xs:sequence>${parts
    .split(' ')
    .map((part) => {
      const [, name, sign] = /^([\w:]+)([?*]?)$/.exec(part)!;
      return `<xs:element ref="${name}"${sign === '?' ? ' minOccurs="0"' : sign === '*' ? ' minOccurs="0" maxOccurs="unbounded"' : ''}/>`;
    })
    .join('')}</xs:sequence></xs:complexType>`;
const element = (name: string, parts: string): string => `<xs:element name="${name}">${sequence(parts)}</xs:element>`;

export const aggregateXsd = schema(
  AGGREGATE,
  [
    ['cac', AGGREGATE, ''],
    ['cbc', BASIC, 'basic.xsd'],
  ],
  [
    element('BuyerCustomerParty', 'cac:Party'),
    element('SellerSupplierParty', 'cac:Party'),
    element('Party', 'cac:PartyName'),
    element('PartyName', 'cbc:Name'),
    element('Delivery', 'cac:RequestedDeliveryPeriod'),
    element('RequestedDeliveryPeriod', 'cbc:EndDate'),
    element('AllowanceCharge', 'cbc:ChargeIndicator cbc:AllowanceChargeReason cbc:Amount'),
    element('AnticipatedMonetaryTotal', 'cbc:LineExtensionAmount cbc:ChargeTotalAmount? cbc:PayableAmount'),
    element('OrderLine', 'cac:LineItem'),
    element('LineItem', 'cbc:ID cbc:Quantity cbc:LineExtensionAmount cac:Price cac:Item'),
    element('Price', 'cbc:PriceAmount cbc:BaseQuantity'),
    element('Item', 'cbc:Name cac:BuyersItemIdentification cac:SellersItemIdentification?'),
    element('BuyersItemIdentification', 'cbc:ID'),
    element('SellersItemIdentification', 'cbc:ID'),
  ].join('\n'),
);

export const orderXsd = schema(
  ORDER,
  [
    ['cac', AGGREGATE, 'aggregate.xsd'],
    ['cbc', BASIC, 'basic.xsd'],
  ],
  element(
    'Order',
    'cbc:UBLVersionID cbc:ID cbc:IssueDate cbc:Note? cbc:DocumentCurrencyCode cbc:CustomerReference? cac:BuyerCustomerParty cac:SellerSupplierParty cac:Delivery? cac:AllowanceCharge? cac:AnticipatedMonetaryTotal cac:OrderLine*',
  ),
);
