/** The three sentences of ten posts of the demo that a reader chose as the most central, before any was chosen here; by how they begin. */
export const CHOSEN_BY_READER: Readonly<Record<string, readonly string[]>> = {
  'bicycle-ferry': [
    'The bicycle ferry to Holm accommodates',
    'The bicycle ferry operates five times',
    'Reservations are accepted from',
  ],
  'bike-tour-budget': [
    'A bike tour budget is essentially',
    'The most economical of them spent',
    'Food is where an optimistic budget',
  ],
  'bike-tour-packing-list': [
    'This bike tour packing list is the one',
    'You need the five things that let you',
    'For a first tour, stay under a sixth',
  ],
  'bike-touring-food': [
    'It must survive without a refrigerator',
    'Five hours of riding with luggage',
    'It is therefore better to eat',
  ],
  'broken-spoke-on-tour': [
    'A broken spoke on tour announces',
    'A wheel contains 32 or 36 spokes',
    'Spokes break because they bend',
  ],
  'canal-towpath-cycling': [
    'Canal towpath cycling is probably',
    'The Sallow canal runs for',
    'The bridges are the only serious',
  ],
  'dynamo-light-touring': [
    'Dynamo light touring means',
    'As soon as the wheel is turning',
    'For commuting throughout the winter',
  ],
  'estuary-cycling-route': [
    'The estuary cycling route on the inner',
    'From the pumping station to Sallow',
    'The estuary cycling route has no',
  ],
  'fix-flat-bike-tyre': [
    'It takes fifteen minutes the first',
    'You need two tyre levers',
    'Run your fingers slowly',
  ],
  'waterproof-panniers': [
    'Waterproof panniers are the one thing',
    'Three things decide',
    'For two days, one pair of twenty',
  ],
};
