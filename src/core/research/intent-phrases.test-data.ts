import type { Intent } from './keyword.ts';

/** Phrases as they are typed, of many trades, each with what somebody who types it mostly wants. Judged by hand before the reading was. */
export const INTENT_PHRASES: Record<Exclude<Intent, 'navigational'>, string> = {
  informational: `bike tour packing list
how to pack panniers
why is my chain squeaking
what is a dynamo hub
when to replace brake pads
bike chain maintenance
tyre pressure chart
average cycling speed
history of the bicycle
cycling hand signals
benefits of commuting by bike
flat tyre repair
fix a puncture
headwind cycling tips
tide tables explained
low tide cycling
winter bike storage ideas
saddle sore prevention
saddle sore remedies
cycling with toddlers
first bike tour
solo cycling safety
how long do tyres last
bike anatomy
parts of a bicycle
derailleur adjustment
adjust v brakes
true a wheel
clean a cassette
remove rust from chain
sourdough starter recipe
banana bread recipe
how much water do tomatoes need
tomato plant diseases
when to prune roses
growing garlic in pots
compost ratio
symptoms of low iron
back pain exercises
push up form
mortgage meaning
what is inflation
difference between roth and traditional pension
capital of bhutan
population of norway
regular expression examples
css grid tutorial
git merge vs rebase
learn spanish verbs
french numbers 1 to 100
knitting patterns for beginners
origami crane instructions
wedding speech examples
cover letter template
content calendar template
meta description length
keyword research process
blog post ideas
on page seo checklist
how does a heat pump work
removing wallpaper
paint drying time
average cost of a loft conversion
cost of living in lisbon
how much does a wedding cost
weekend in porto itinerary
things to do in porto
wild camping laws
is wild camping legal
camping checklist
tent pitching steps
clove hitch knot
sleep cycle stages
dog body language
puppy vaccination schedule
signs of a healthy cat`,
  commercial: `best waterproof panniers
best touring bike under 1500
waterproof panniers review
panniers vs backpack
pannier comparison
top 10 bike lights
bike lights reviewed
hub dynamo or battery lights
are expensive tyres worth it
steel vs aluminium frame
alternatives to bike panniers
which bike computer should i buy
best bike insurance
bike insurance comparison
best budget tent
lightweight tent reviews
tent buying guide
best email marketing software
email marketing software comparison
project management tools for small teams
crm for freelancers
best laptop for students
laptop vs tablet for students
noise cancelling headphones review
top rated air fryers
air fryer comparison
best running shoes for flat feet
running shoes reviews
electric car range comparison
best credit card for travel
savings account comparison
is a heat pump worth it
best hotels in porto
porto hotels reviews
best beginner guitar
most reliable dishwashers
recommended bike shops
good touring saddles
quietest dishwasher
cheapest electric cars 2026`,
  transactional: `buy waterproof panniers
waterproof panniers sale
waterproof panniers price
touring bike hire
rent a touring bike
bike rental near me
e-bike hire eddering
used touring bikes for sale
second hand panniers
cheap bike lights
bike shop near me
bike repair near me
book a bike service
bike service booking
bike fitting appointment
campsite booking
ferry tickets
train tickets with bike
discount code tents
tent deals
free shipping saddles
order inner tubes online
bike insurance quote
get a mortgage quote
hire a plumber
emergency plumber near me
plumber near me
download invoice template
spanish course online sign up
yoga classes near me
guided cycling holidays booking
cycling holiday deals
rent storage unit
flights to porto
hotel porto book
coupon for running shoes
running shoes outlet
free trial crm`,
};
