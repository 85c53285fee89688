package fabulum.core.suggest;

/** What customers ask the front offices of single trades; read with {@link CommonAsks}. */
final class TradeAsks {
  private TradeAsks() {}

  /** An ask in each line. */
  static final String WORDS =
      """
      no hot water: the shower goes cold after a minute; there is no hot water this morning; the water is only lukewarm; we have been washing with \
      cold water for days; we heat water in a pot to wash ourselves; kettle baths again; my husband had an ice cold shower; it runs warm and then \
      icy; dishes in cold water again
      no heating: the radiators are cold; the house is freezing; the heating does not come on; upstairs is warm but downstairs is not; we sit here \
      in our coats; we are wearing jackets indoors; it is 55 in the living room; the baby's room won't get warm; only one room gets warm; the \
      pipes are cold to the touch; the kids sleep in hats
      low pressure: the gauge shows too little pressure; hardly any water comes out of the tap; the needle is in the red; it asks to be topped up; \
      only a trickle comes out of the shower; it wants me to add water; how do I fill it up again; the hand points below one; the little dial is \
      almost at zero; how do I get water back into the system
      drain: the sink does not drain; the water stands in the tub; the drain is clogged again; it gurgles when the water runs off; it comes up in \
      the basement when I flush; the shower floods when I wash; it smells from the sink; slow going down; it takes an hour until the tub is empty; \
      I dropped something down there; hair everywhere in it
      toilet: the toilet keeps running; the toilet does not flush; the tank never fills up; the toilet is loose on the floor; I hear water running \
      all the time in the bathroom; it overflows
      hard water: there are white spots on all the glasses; the taps are full of lime; the kettle has a thick crust inside; our water is very \
      hard, what can we do; soap hardly foams here; crusty white stuff on the shower head; my skin is dry from the water; everything gets a white \
      film; we go through so many coffee machines; chalk comes out of the tap
      cooling: the air conditioning blows warm air; it drips from the cooling unit; it is boiling in here, the cool air is gone; the filter has to \
      be changed
      saving energy: our heating costs are too high; how can I use less gas; is a heat pump something for us; the old one eats too much power
      teeth that need work: my filling came out; my tooth is sensitive to cold; a corner of my tooth is gone; my crown is loose; there is a hole \
      where I chew; something sharp in my mouth; a piece of the old silver came out; it twinges with ice cream
      gums and wisdom teeth: my gums bleed when I brush; something is growing in at the very back; my gum is swollen; bad taste in my mouth since \
      yesterday
      braces and guards: the wire pokes my cheek; my retainer does not fit any more; I grind my teeth at night; a bracket came off
      dentures and implants: my denture rubs; the plate broke in two; can a missing tooth be replaced
      routine look at the teeth: it is time for my cleaning; when did I last have a check-up; how often should I have it polished; are new \
      pictures really needed
      coming late at night: we land at eleven, can we still get in; how do we get the key when nobody is there; our train arrives after midnight; \
      is there a box for the key; the last ferry gets us there at ten; will someone let us in; what is the latest we can arrive; we are still four \
      hours away; the desk is dark, how do we get to bed
      early in, late out: can we have the room before noon; may we drop our bags in the morning; could we stay until three on the last day; our \
      flight is only in the evening; we would like to sleep in; when do we have to be out; is there somewhere to shower after we leave the room; \
      we drove all night and could use a bed
      breakfast and eating there: what time is breakfast; can we get something to eat this late; do you make lunch boxes; is coffee included; we \
      leave at five, is there anything before; is there a kitchen we can use; where does one eat around here; are there eggs in the morning
      bed, towels, room: we need one more pillow; no towels in our bathroom; is there a cot for the baby; can we have two beds instead of one; the \
      sheets were not changed; the room smells of smoke; can we get a quieter one; the tv has no picture; something crawled over the bed; the \
      light above the mirror is out
      internet there: what is the password for the wifi; the internet does not work in our room; I have to be in a meeting, is the connection \
      good; it asks for a code; my daughter can't get online; no bars here at all
      getting fetched: do you pick us up at the station; is there a bus to you; we come without a car; what does the taxi cost from the airport; \
      can someone take us to the boat; how do we get there without driving; my flight is delayed, does the driver know; where does the driver \
      wait; do you have a child seat in the car; six of us with skis, does that fit
      things to do nearby: what can we do with kids when it rains; is there a beach close by; can one rent bikes near you; where would you go for \
      dinner; is there a pharmacy; which path is good for a short walk; the children are bored
      loud neighbours: the people above us are loud; party next door until three; somebody drills on Sundays; a dog barks all day; can you tell \
      them to be quiet; I have to get up at five and can't sleep; their music comes through the wall
      rent and paying for a flat: when is the rent due; I will pay a week late; did my rent arrive; can I pay in two halves this month; what \
      account does it go to; I lost my job, can we talk about the rent; why is the extra cost so high this year; I get paid on the tenth, is that \
      too late
      looking at a flat: can I see the flat; is it still free; when is the viewing; how many rooms are there; is it quiet there; I saw your ad; \
      what do I need to apply; is there a balcony; can I come and have a look before I decide; how many people want it
      moving in and out: when do I get the keys; when is the handing over; do I have to paint when I leave; we want to leave at the end of June; \
      who reads the meter; is the cellar ours too; may we bring things in before the first; when do we get our deposit; you still have two \
      thousand of ours; I handed in the keys a month ago and heard nothing
      things a house rule says: may I have a cat; can I put up a satellite dish; may my brother live with me for a while; can I paint the kitchen \
      red; are we allowed to grill on the balcony; where do the bins go; whose turn is it to sweep; a bike stands in the hallway; can I let the \
      flat while I am abroad; someone parks in my space
      something in the flat is broken: the shower is leaking; a socket does not work; the window does not shut; there is mould behind the \
      wardrobe; the lift is stuck; the hall light is out; no water since this morning; the front door does not lock; the blinds fell down; it is \
      cold in every room; who do I call about repairs; water comes from upstairs
      mice, ants, wasps: we have ants in the kitchen; something scratches in the wall at night; there is a wasp nest under the roof; little black \
      droppings in the drawer; we have bites in the morning; moths come out of the flour; they are back after your treatment; it buzzes behind the \
      shutter; is the stuff safe for the cat; how long do we stay out of the house; my wife jumped on the chair
      roof, gutter, outside: a tile came down in the storm; the gutter is overflowing; it drips in the attic; there is moss all over the roof; the \
      chimney lets water in; branches hit the wall; can you look at it from above; after the hail it looks like a sieve; a bird lives in the pipe
      electric: half of the house is dark; the fuse keeps jumping; the light flickers; a socket is warm; I need an outlet in the garage; we got a \
      small shock from it; it sparks when I plug something in; the bell is dead; can you hang a lamp; every time the kettle goes on everything \
      goes out
      painting and floors: which colour do you recommend; when is the paint dry; can we stay in while you paint; the floor squeaks; there are \
      scratches in the parquet; do you do wallpaper; do I have to move the furniture; it still smells; can we walk on it tonight; the white looks \
      yellow
      doors, windows, locks: the window pane is cracked; wind comes through the door; the garage door stays open; the lock is stiff; I need a \
      second lock; the handle came off; can you open a door without breaking it; somebody tried to get in; the ball went through the glass; it \
      scrapes over the floor when I close it
      household machines: the washing machine leaves a puddle; the dishwasher does not dry; the fridge is warm; the oven does not get hot; the \
      dryer takes for ever; the freezer is full of ice; it trips over when it spins; everything in it went soft; our plates come out dirty; it \
      stopped with all my clothes inside; it wanders through the bathroom
      pool and garden work: the pool is green; the pump is loud; when do you open the pool for summer; the lawn has brown patches; can you take \
      down a tree; the hedge is too high for me; do you shovel snow; the roots lift the path; something eats my roses; the sprinkler runs all \
      night; the neighbour complains about the leaves
      house cleaning: can you come every other week; do I have to be home; who has my key; the bathroom was forgotten; a vase got broken; can she \
      do the oven too; do you bring your own mop; our usual lady is the best; can you come one day earlier, we have guests; the dog sheds a lot; \
      not this week, we are away; there were streaks on the windows
      moving: what does it cost to move two rooms; how many boxes do I need; do you take the piano; we live on the fourth floor; can you store our \
      things for a month; do you pack too; the wardrobe got a scratch; when do your men come on the day; do we need a sign in the street for the \
      truck; can you take the old sofa to the dump; the box with the glasses rattles; is it insured when something breaks
      storage room: how big a room do I need; what are the hours of the gate; my code does not work; do I bring my own lock; my things got damp; \
      can I come at night; I am moving out of my unit; can I have a bigger one; does it all fit in ten by ten; may my brother fetch something out \
      of it
      a car that needs help: my car will not start; the engine light is on; the brakes grind; it pulls to the left; there is a puddle under it; \
      smoke comes from the hood; I am stranded at the side of the road; the battery is dead; it stalls at every light; it smells of burnt rubber; \
      the steering wheel shakes; something hangs down and drags; it makes a noise like a tractor
      a car, the usual: it is time for an oil change; when is the inspection due; winter tires, please; do you keep my summer wheels; can I get a \
      car meanwhile; may I leave the key in the box; can I fetch it after seven; do you wash it too; how many miles until the next one; can I wait \
      while you do it; the sticker runs out this month; do you drive me home
      dents, scratches, glass: someone hit my car in the lot; a stone cracked the windshield; a scratch all along the door; the mirror is gone; \
      the bumper hangs; can you paint only that spot; the other side pays, do you deal with them; I met the garage wall; hail all over the hood
      bicycles: a flat tyre on my bike; the gears jump; the brakes do nothing; the chain fell off; is my bike ready; how far does the battery go; \
      can you fit a child seat; what size does she need; I hear a click at every turn of the pedal; could you look it over before spring
      hair: I need a cut and colour; my roots show; only a trim; how long does the colour take; can you fix what I did at home; do you do hair for \
      weddings; I would like the same lady as last time; it turned out too dark; my fringe is in my eyes; do I come with washed hair; does he have \
      time for my beard; it went orange; how short can you go without my crying
      nails, skin, massage: one of my nails broke; how long does it last; my skin is red after the treatment; do you do feet; can I come when I am \
      pregnant; my shoulders are like stone; what does an hour cost; do I shave before; no oil for me please; could it be a woman; I burned in the \
      sun, is it still all right to come
      glasses and lenses: are my glasses ready; the frame is bent; I sat on my glasses; my new glasses give me a headache; I need more contact \
      lenses; everything is blurred; can I have a copy of my prescription; when was my last eye test; a screw fell out; they slide down my nose; I \
      hold the paper further and further away; can I have the new lenses in my old frame
      hearing: my hearing aid whistles; I need batteries; the left one is silent; everybody mumbles; it got wet; how do I connect it to my phone; \
      my husband turns the tv up all the way
      medicine: is my medicine ready; I have only two pills left; can I get a refill; can I take this with aspirin; I feel sick from the new \
      pills; I forgot one this morning; is there a cheaper one; you gave me a different box; can you bring it to my mother; do I take it before \
      food; when does it run out; it says no more repeats; my inhaler is almost empty
      results: are my results back; did the lab say anything; what came out of the scan; I had blood taken a week ago; is it something bad; nobody \
      called about the test; can you tell me by text; waiting for the call is killing me; what do the numbers mean; you took something and sent it \
      off
      doctor's papers: I need a sick note; I need a referral; can you fill in the form for the school; I need a letter for the gym; please send it \
      to the specialist; my boss wants it in writing; I need it extended until Friday; the insurance wants a report; can it be dated from Monday
      not feeling well: I have had a fever for three days; I am dizzy when I stand up; she has a rash all over; I can't keep anything down; my \
      chest feels tight; is it something to worry about; should we come in or wait; he fell on his head; I cut myself and it won't stop; a tick \
      bit me; my throat is on fire; I think I have the flu
      shots: do I need a flu shot; when is the next jab; which shots for the trip; her arm is sore after the shot; is he up to date; can we get it \
      done before school; it is ten years since my last one; do I need a booster
      exercises and therapy: my knee hurts more after the exercises; how often should I do them; can I go running again; do I bring the \
      prescription; which clothes do I wear; how many sessions are left; it cracks when I turn my neck; am I doing this right; can we do it over \
      video; it has got much better, do I still need to come
      talking to a therapist: I had a bad week; I need to talk to somebody; do you have a free place for therapy; it is confidential, right; can I \
      come with my wife; it is about my son; I can't get out of bed any more; is there something sooner, it is hard at the moment
      an animal is ill: my dog does not eat; the cat has been vomiting; he limps; she scratches herself all day; he ate something in the park; her \
      eye is swollen; he drinks much more than usual; she hides all the time; he got bitten; he swallowed a sock; she had a fit; the rabbit does \
      not move; he shakes his head; there is blood in it; he can't get up; he got into the bin and now he twitches
      an animal, the usual: are his shots due; can you trim her nails; she needs a chip; is he too fat; his breath is terrible; do we need drops \
      against fleas; how often does he have to be wormed; a bath and a cut please; his fur is one big knot; can you spay her; when can the puppy \
      go outside; he stinks so much we sleep with open windows; those little black things jump in her fur
      an animal before and after an operation: may he eat the night before; when do I bring her in; when can I fetch him; how long does the collar \
      stay on; he keeps licking the wound; may she go for walks; the stitches look red; she sleeps all day since it; he pulled out a thread; when \
      do they come out; can he jump on the sofa again
      an animal goes away or stays: can you keep our dog over the holidays; we are away and have nobody for the cat; we take her across the \
      border; does she need a passport; what does a night cost with you; does he get along with others there; can I bring his own food; who feeds \
      the birds while we are gone; we are flying and she is coming with us
      an old animal: is it time to let him go; I think she is suffering; can you come to our house for it; what happens with him afterwards; the \
      kids want to say goodbye; he is sixteen and does not enjoy anything any more; we do not want her in pain
      food and things for animals: do you have the diet food; we need another bag; he does not like the new food; which one is for old dogs; can I \
      just pick it up; we are scraping the bottom of the sack; do you keep the big cans
      a child will be away or late: Mia will not come today; he is ill, no kindergarten; we come later, we are at the doctor; she stays with \
      grandma; he will be back on Monday; we are on holiday next week; tell her teacher she slept badly; no bus for him today
      fetching a child: grandpa picks her up today; I am late to fetch him; can somebody else take her home; he may walk home by himself; until \
      when can she stay; my boss kept me, can he wait with you; who is allowed to take him; please keep her until I am there; she goes home with \
      Lena's mum
      a child's day: did she sleep; did he eat well; she cried when I left; what does he need tomorrow; please no sweets for her; his spare \
      trousers are used up; she has a loose tooth; another child bit him; what did they do today; he says nobody plays with him; where is her \
      blanket
      trips and camps: when does the bus leave; what do they need for the trip; how much pocket money; do they get lunch; when are they back; can \
      I come along; he gets sick on buses; is there still a place at camp; where do we drop them off; she has never slept away from home
      lessons, tests, driving: when is my next lesson; can I have the same instructor; when can I take the test; how many hours do I need; I \
      failed, what now; do you have the theory book; can I use your car for it; do I need my glasses that day; I stall every time on the hill; I \
      want to drive on the highway before the test; where do we meet; my hands shake when he sits next to me
      music: can we rent a violin; which piano do you recommend; a string broke; she does not practise; when is the recital; can he change \
      teachers; do you teach grown-ups; do we need our own instrument; my fingers hurt; what should she wear on stage; he wants to play drums, God \
      help us
      sport and gym: can I try it for a day; which class is good for my back; do you have showers; I would like a plan; is there somebody who \
      shows me the machines; are you open at night; my card does not open the gate; can I bring a friend; how do I lose this belly; is there a \
      class for older people
      table: do you have a table for six tonight; can we sit outside; we come at eight instead of seven; two more are joining us; do you have a \
      high chair; is there a children's menu; can we bring our own cake; how long do we have the table; we are running behind with the \
      reservation; I don't see my reservation; just the two of us, somewhere quiet, I am going to ask her
      food to take away: can I order for pick-up; when will the food be here; the pizza is cold; one dish is missing; do you deliver to the hills; \
      can you make it less spicy; leave it at the door; we never got the drinks; you sent somebody else's; it has been an hour and the kids are \
      starving
      cakes and bread: can I order a cake for Saturday; what goes on it; can you write a name on it; do you have bread without wheat; is it enough \
      for twenty; can I fetch it at seven; could it look like a dinosaur; do you still have rolls; how long does it keep; the cake was lopsided; \
      three tiers, nothing pink
      flowers: can you deliver flowers today; it is for a funeral; what should the card say; how long do they last; do you have peonies; nobody \
      was home when they came; they were wilted the next day; something for my mother, nothing too loud; can it come without my name; the bride \
      wants white ones
      weddings and big days: is the date still free; how many people fit; can we see the hall; what if it rains; may our own band play; how late \
      can we stay; when do we have to say the number; what is in the package; may we decorate the evening before; we have to move the wedding; who \
      do we talk to on the day
      photographs: when are our pictures ready; can we have them all; may I choose some; how many do we get; what should we wear; can you make me \
      look younger; can you do it at our house; we want them printed; I blinked in every one; the baby sleeps at three, is that a bad time; may we \
      put them on the internet; we need one for a passport
      clothes: can you shorten these; the zip is broken; there is wine on my dress; is my suit ready; a button is missing; can you take it in; I \
      need it by Friday; it came back smaller; can you let it out a bit, I ate too well; what happened to my white shirt; the lining hangs out; \
      can this stain be saved
      printing and signs: can I see it before you print; which file do you need; how fast can you do it; there is a typo in it; can I have fifty \
      more; the colours look different; can you do it on thicker paper; can it be ready before the fair; the name is spelled wrong on all of them; \
      my picture looks all squares
      computers: it is so slow; I think I have a virus; everything is gone; the printer does nothing; I can't get into my mail; strange windows \
      pop up; can you save my pictures; the screen is black; I spilled coffee over it; somebody called and said he was from the computer company; \
      it wants money to give my files back; do you come to the house; is it worth mending, it is eight years old
      phones: the screen is cracked; the battery is empty by noon; I dropped it in the water; can you move my numbers to the new one; I can't hear \
      anyone; it does not charge; how long does the repair take; my fingers don't do anything on it; do you need my code
      an accident and a claim: I had an accident; somebody drove into me; water damaged our floor; a tree fell on the shed; how do I report it; \
      who sends someone to look; when do I get paid; may I have it repaired already; what photos do you need; it was not my fault; is that \
      covered; my bike was stolen; they broke in last night; the dog bit the mailman; what is my part of it
      policies and cover: how much would it be to insure my car; I bought a new car, please add it; my son is driving now; can I have a card to \
      show; is my trip covered; I sold it, take it off; why do I pay more than my neighbour; does it cover the boat too; we are having a baby, \
      what changes; until when is it good; somebody wants to see that I am insured
      money and cards at a bank: I lost my card; there is a payment I did not make; my card was swallowed; how do I get a loan; can I raise my \
      limit; I need a new pin; when is the money in my account; I can't see my balance; what do I need to open one for my son; can I pay it off \
      earlier; I am travelling, will it work over there
      taxes and books: which papers do you need for my taxes; when is it due; I got a letter from the tax office; how much do I get back; can you \
      get me more time; I have a little business on the side; do I need to keep this; have you sent it off; I never know what counts; they want \
      money from me and I do not understand why; I still have a shoebox full of slips
      law: I got a letter from a lawyer; what are my chances; when is the hearing; must I appear myself; my landlord throws me out; we are getting \
      divorced; how much would you take; do I sign this; somebody owes me money; what should I not say; I was let go yesterday; my mother wants to \
      write her will; is there news in my case
      buying and selling a house: what is my house worth; is the house still for sale; when can we see it; what did they offer; when do we sign; \
      can we go lower; is the roof all right; how old is the kitchen; when do we get the keys; nobody has come to look at ours; would they leave \
      the curtains; we fell in love with it
      boats: is my berth free; when do you lift the boats; the bilge pump keeps running; can you winterise the engine; we want to stay two nights \
      with our boat; is there fuel at the dock; how deep is it at the pier; which channel do you listen on; the line broke in the wind; somebody \
      is lying in my place; there is water in the boat; could you have a look whether she is still afloat; can I plug in somewhere
      borrowing things: can I rent one for the weekend; what do I leave as a deposit; I bring it back a day later; it broke while we had it; which \
      size do I need; is it still there on Saturday; do you show us how it works; what if we lose it; can we keep it longer; must it be cleaned \
      before; it does not start; when at the latest do you want it back; can you drop it at our place
      tickets and shows: are there still tickets; I can't find my ticket; can I exchange them; where do we sit; when do the doors open; how long \
      is the show; is there a break; can I get in after it began; I bought two too many; is it something for children; do we have to print it; are \
      there seats without steps
      tours: where does the group start; what do we need to wear; how long is the walk; is there food on the way; can my mother do it; what if \
      nobody else comes; we missed the start; can we come with a stroller; does it go ahead in rain; do we get picked up; how wet does one get; \
      will we see any animals
      parcels: where is my parcel; it was left at the wrong door; can you fetch it from us; the box arrived crushed; I was not home when you came; \
      it says delivered but there is nothing; can I pick it up at yours; how do I send it back; it is supposed to be here since Tuesday; can you \
      put it behind the shed
      things in a shop: do you have it in stock; does it come in blue; can I bring it back; it does not fit; can you keep it for me; when do you \
      get more; is it cheaper for two; I bought it last week and it broke; do you have the bigger one; can you order it for me; I changed my mind \
      about it; which of the two is better; I lost the slip, can I still swap it
      a death: my father has died; what do I do first; can you come and fetch him; when can we say goodbye; what does a funeral cost; he wanted to \
      be cremated; which papers are needed; who writes the notice; can there be music; where do people send flowers
      rooms and halls: can I rent the hall; is the room free on the twelfth; how many chairs are there; is there a kitchen; do we clean up \
      ourselves; who opens for us; can we use the projector; until when can we make noise; may we hang things on the wall; is there a stage
      books and lending: is my book there; can I keep it two weeks longer; I owe you a fee; I lost one of yours; how do I get a card; can I put \
      one aside; do you have it as an audiobook; the pages are torn, it was the dog; can I give them back somewhere else
      """;
}
