package fabulum.core.suggest;

import java.util.List;

/**
 * What customers ask the front offices of many trades, each ask in several wordings: so a question
 * meets a template by what both are about, though they share no word.
 */
final class CommonAsks {
  private CommonAsks() {}

  /**
   * The wordings of each ask.
   *
   * @param name what it is about, for who reads this
   */
  record Ask(String name, List<String> wordings) {}

  /** All of them. */
  static final List<Ask> ALL =
      """
      opening hours: when are you open; what time do you close tonight; are you there on Sundays; are you closed over the holidays; \
      do you work through lunch; is anybody still in after six; how early can I come by; are you open between Christmas and New Year; \
      what are your hours on Saturday; will you be there on the long weekend; I get off work at five, would I still catch you; \
      is the front desk staffed on weekends; do you take a break at noon; are you working on the holiday Monday; your door was locked when I came by; \
      up to when can I drop in; I only have time before work, is anyone in at seven; does somebody pick up the phone after hours; \
      are you taking the week off in August; can I still reach you today
      finding the place: where are you located; what is your address; I can't find the building; my navigation sent me to the wrong street; \
      which entrance do I use; I drove past twice and see no sign; which floor are you on; I am standing in front of the wrong house; \
      how do I get to you by bus; is it the house next to the church; I am lost, can you guide me in; the taxi let me out somewhere else; \
      the map shows two places with your name; I only see a supermarket here; the street number is missing; am I right behind the petrol station; \
      where do I have to turn off; the app took me to your old place; is it the blue building; what do I put into the map; \
      your door has no name on it; I keep ending up at the wrong end of the road; is there a landmark nearby; we got lost on the way
      parking: where can I park; is there parking at your place; all the spaces are taken; do I have to pay for parking; \
      can I leave my car in the yard; is there room for a trailer; I have been circling for ten minutes looking for a spot; \
      will I get a ticket if I stop out front; can the van stand in your drive
      running late: I will be ten minutes late; stuck in traffic; I won't make it on time; the train is delayed; flat tire, I will be there later; \
      still at work, can I come a bit after; the road is blocked, this will take a while; please wait for me, I am on my way; \
      overslept, leaving the house now; my ride did not show up; the bus just left without me; there is an accident on the highway; \
      my meeting is running over; held up at school with the kids; I have only just left home; \
      give my slot to somebody else if you must, I will be half an hour behind; the car would not start but I am coming; \
      snow everywhere, crawling along; there was a wreck on the bridge; they closed my exit; sorry, just got out of the meeting; \
      do not give away my spot, almost there; the sitter is late so I will be too
      cancelling: I have to cancel my appointment; something came up, we can't come; please take me off the schedule; \
      it solved itself, nobody needs to come; no need to send anyone any more; my child is sick, I can't come tomorrow; we have decided against it; \
      I found somebody else, please call it off; it works again by itself; I can't make it after all; I am down with the flu; \
      we will be out of town that day; my boss won't let me go; plans have changed, sorry; found the problem myself, a loose plug; \
      never mind, it has sorted itself out; please don't come tomorrow; something has come up in the family; sorry, can't do it this week after all; \
      the problem is gone; you can give my time to somebody else; I am stuck abroad; it was nothing after all
      moving an appointment: can we move it to another day; could I come next week instead; does an earlier time work; \
      I have to work that day, is there another slot; Thursday is bad for me after all; can you push it back an hour; I need to postpone; \
      is there anything later in the day; my shift changed, could we do Friday; I am double-booked that morning; \
      would the afternoon be possible instead; do you have something sooner; the week after would suit me better; I can only do evenings now; \
      my daughter has a game that day; would it hurt to wait another week; any evening would be better; I have a clash on the fourth
      wanting an appointment: I need an appointment; do you have an opening this week; when could somebody come and have a look; \
      what is your next free slot; can you fit me in today; I would like to come in soon; how long is the wait for a date; please book me in; \
      can I come without an appointment; how soon could I be seen; my wife says I should finally come in; put me down for whenever you have time; \
      I want somebody to look at it before winter; any chance you squeeze us in; I need to come in for the usual; when would you have time for me; \
      my last visit was ages ago and I want to come by again; what is the soonest you have; it is for my husband, he needs to see you
      confirming: yes, I will be there; the time works for me; see you tomorrow as agreed; I got your reminder and I am coming; \
      confirming for Thursday; that date is fine; all good, Tuesday it is; yes please keep it; we are on for tomorrow; I will make it
      which date was it: when was my appointment again; what time did we say; I forgot which day I am coming; do I have something booked with you; \
      I lost the card with the date; is it this week or next; my calendar is empty but I thought I was coming this week; \
      my wife booked it and I don't know when; was that morning or afternoon; I deleted the message with the date; am I down for anything
      where is your person: when will your technician be here; is somebody still coming today; we have been waiting since eight; how far away is he; \
      nobody has shown up yet; has your colleague left already; it is past noon and no one is here; can you tell me roughly when they arrive; \
      I have to leave soon, are they close; I took the morning off for this; the doorbell has not rung; should I keep waiting; \
      the window you gave me is over; is the van on its way; I am standing at the door waiting; he was supposed to be here by now; \
      still nothing here; it is half past ten and I am alone; he said between eight and ten; could you give the driver a nudge; \
      I have to pick up my kids at three, will it be before that
      price: how much does it cost; what do you charge for that; is there a call-out fee; what is your hourly rate; is that expensive; \
      do you have a price list; how much more would it be; roughly what am I looking at; is it more than a hundred; do you charge for the drive; \
      does it cost extra on weekends; what would that set me back; is the first visit free; what is the damage going to be; \
      is that within a normal budget; my neighbour paid two hundred, is that right
      estimate: can you give me a quote; I need an estimate in writing; what would it come to roughly; please send us an offer; \
      can you come and tell us what it would cost; how long is your offer good for; my husband wants to see a number first; \
      we are comparing three companies; could you put that on paper; what would a new one cost put in; before we decide we need a figure; \
      nobody has told me a price yet
      ways to pay: do you take credit cards; can I pay cash; is there a link to pay online; can I send a check; may I wire the money; \
      do I pay now or later; can I pay with my phone; do I have to bring cash; I left my wallet at home; is a bank transfer all right; \
      can my company pay for it; do you send a bill or do I pay on the spot; is plastic fine; do you take foreign cards; can I pay at the counter; \
      does it have to be all up front
      paying bit by bit: can I pay it in parts; I can't afford it all at once; is there a payment plan; could we spread it over a few months; \
      money is tight right now; half now and half later; that is a lot at once; I get paid at the end of the month; \
      could I give you some now and the rest later; is there any way to stretch that; I am between jobs at the moment; could I clear it by spring; \
      a little each month would be easier
      a bill that is not clear: I do not understand my invoice; why was I charged twice; what is this item on the bill; \
      the amount is higher than you told me; there is a mistake in the statement; I was not even there on that date; I already paid this; \
      what are these forty dollars for; I thought that was free; it says two hours but he was here for one; \
      my bill says something different from what we agreed; you sent me somebody else's bill; we got a letter that we owe you; \
      who approved this amount; two bills for one visit; it is twice what my friend paid
      receipt or copy: I need a receipt for my taxes; can you send me the invoice again; I lost the bill; my accountant needs the paperwork; \
      please mail me a copy; I need proof that it was paid; the tax office wants to see it; I need something for my employer; \
      I need it with the company's name on it; can you resend last month's
      insurance: do you accept my insurance; will my plan cover this; my coverage changed, do you still take me; I have a new policy; \
      do you bill them directly; what part do I have to pay myself; we switched to another provider at work; my benefits start next month; \
      I have a different card now; do you work with the new plan of my company; are you in network; will they pay for it; who sends it in, you or me; \
      my husband's plan ended; I turned 26 and lost my parents' cover; my new employer has a different company; do I have to lay out the money first; \
      they say you need to send them a code; they turned it down; do you need the number on my card
      refund and deposit: can I get my money back; when will I get the refund; do I have to leave a deposit; what happens with the deposit
      guarantee: is it still under warranty; it broke again after you fixed it; the repair did not last; \
      you replaced it and the same thing happens again; who pays when it fails again so soon; I thought this had been taken care of; \
      is that covered by the guarantee; it worked for a month and now it is back; only three months and it is broken again; didn't you just fix that; \
      I hope I don't have to pay for this twice; you were here for the very same thing; it lasted a week; \
      I paid for this in spring and it is at it again; the new piece is already worn out; you stand by your work, right
      ordered parts: has my part arrived; any news about the order; how long until the piece is here; we are still waiting for the spare part; \
      is it on back order; you wanted to order something for us; it has been weeks because of one small thing; did it come in yet; \
      any word from the supplier; the thing you sent for; we can't use it until you have the piece; \
      you said it would take a week, that was a month ago; are we still waiting on the factory; can you hurry the supplier; \
      when it comes in, please let me know first
      is it done: is it ready; how far are you with it; when can I pick it up; is the work finished; any progress; when do I get it back; \
      can I come and get it; just checking where we stand; are you nearly there; will it be done by the weekend
      urgent: it is an emergency; who can I reach at night; I need help right now; this can't wait until Monday; what do I do until you get here; \
      is there somebody on call; please hurry; is anyone there right now; it is getting worse by the minute; I don't know what to do; \
      it happened just now; it is Sunday and I need someone
      water where it should not be: water is dripping through the ceiling; there is a puddle on the floor; a pipe has burst; the carpet is soaked; \
      how do I shut the water off; it is running down the wall; a wet patch on the wall is growing; the cupboard below the sink is wet; \
      we put a bucket under it; something is wet below the boiler; drip drip drip all night; my feet got wet in the laundry room
      dangerous smell: it smells like gas; there is a smell of rotten eggs; something smells burnt; should we leave the house; the detector went off; \
      something smells funny in the cellar; is it safe to stay inside; we opened all the windows
      it does not work: it does not turn on; nothing happens when I press the button; it stays cold; it stopped in the middle of the night; \
      we have been without it since yesterday; it went off by itself; it keeps shutting down; dead as a doornail; it clicks but that is all; \
      it worked yesterday; everything is dark on it; I have tried switching it off and on
      message on the device: there is a message on the screen; it shows a code; a red light is blinking; the panel asks me to do something; \
      what does this symbol mean
      strange noise: it makes a strange noise; it rattles and bangs; it hums all night; there is a whistling sound; it sounds like a helicopter; \
      knocking in the pipes
      settings: how do I set the timer; how do I turn it down at night; I can't figure out the controls; which button is for that; \
      the kids changed all the settings; it turns itself on at three in the morning; I want it cooler at night; what do the numbers on it mean; \
      the clock on it is wrong since the time change; we only want it on when we are home; it shows the wrong day; the display is locked
      yearly service: is my yearly check due; it has been a year since you were here; when was it last serviced; time for the annual inspection; \
      how often should it be looked at; you usually remind me around this time; do I really need it every year; \
      it has not been looked at since last fall; isn't it that time again; before the season starts I want it looked at; the sticker says it is due; \
      a year has gone by already; do you come on your own or do I have to call; it needs its usual going-over
      getting in: nobody is home, how will you get in; the key is with the neighbour; can I leave the key somewhere; the code for the gate is; \
      the dog is in the yard, please be careful; do I have to be there; somebody will open the door for you; I am at work all day; \
      there is a box with a code by the door; my mother-in-law will let you in; ring twice, the bell is weak; can they do it without me there; \
      I start work at six so no one is here; we hid one under the flower pot; the caretaker can open; the lock sticks, lift the door a bit
      renting: I only rent here; does my landlord pay for this; please talk to the property manager; the house does not belong to me; \
      my tenant called me about it; the owner has to agree first; we are tenants; my landlord says I should call you; \
      the building is managed by somebody; I own the place but live elsewhere; who gets the invoice, me or the owner; this is a rented flat; \
      my lease says the owner takes care of it; the man who owns it is far away; can you send it to the owner's address
      money from outside: is there a subsidy for a new one; do I get a tax credit; is there a discount for seniors; do you have a special offer; \
      does the state pay a part of it; I read that there is money for that; do I get something back from the city; are veterans cheaper; \
      can I use two coupons; my cousin got a cheque back for his; do you handle the application for that; is there any help with the cost
      papers and forms: where do I sign; do I need to fill something in beforehand; the form does not open; do you need my signature; \
      I have filled in the questionnaire; which papers do you need; I can't print that at home; I got a link but it is empty; \
      do I have to send it back signed; is there anything to fill out; may I do that on my phone; the page says my link is too old; \
      is it enough if I fill it in there; I need a doctor's note for work
      what to bring, how to prepare: what should I bring; do I have to prepare anything; may I eat before I come; should I clear the room first; \
      do I need somebody to drive me home; what should I wear; how long will it take; do I need to be sober; can I have breakfast that day; \
      do I have to take time off afterwards; may I drive home myself; should I clean it before; do you need the old one too; on an empty stomach; \
      do you have something to put over my clothes; is one hour enough time
      children: do you see children; my son is five, is that too young; can I bring my baby; she has to come after school; \
      does a parent have to be there; our little one has never been; from which age; she won't sit still; can his grandmother come with him; \
      he is only two; what do you do with kids who cry; can both of mine come at once
      afraid: I am scared of it; I am nervous about tomorrow; I had a bad experience once; can I get something to calm me down; will it hurt; \
      I have been putting this off for years; my hands get sweaty just thinking of it; I have not been for ten years because of fear; \
      can you put me under; please be gentle with me; is there something for my nerves; last time I cried; \
      I nearly cancelled because I am so worried; do you have laughing gas
      pain: it hurts a lot; I can't sleep because of the pain; it is swollen; the pain gets worse at night; it hurts when I touch it; \
      what can I take for it; it throbs; I was up all night with it; painkillers do not help; half of my face is thick; \
      it aches when I drink something cold; I can't chew on one side; it woke me up at four
      after it was done: when can I eat again; is swelling normal; it is still bleeding; how long should I rest; may I go back to sports; \
      it is still numb; when do the stitches come out; can I have coffee yet; is it normal that it still feels strange; \
      do I have to keep the bandage on; a bit of blood in the morning; can I sleep on that side; it feels like cotton in my cheek; may I smoke; \
      the hole looks strange; can I work out tonight
      something came off: a piece broke off; it fell out; it came loose again; it feels wobbly; I lost it while eating; I have it here in my hand; \
      I bit on something hard; there is a sharp edge now; it came off with the chewing gum; can you glue it back; I swallowed it, I think; \
      it is in a little box, shall I bring it
      new here: are you taking new customers; I have never been to you; we just moved to town; a friend recommended you; how do I sign up with you; \
      do you have room for one more family; my old one retired; I got your name from my neighbour; is there a waiting list; \
      we are new in the area and need somebody; my last one closed down; my insurance gave me your name; do you have space for a family of four
      my records: please send my file to my new place; we are moving away; can I have copies of my records; another office needs my pictures; \
      do you still have my old papers; our new place asks for my chart; we are leaving town next month; can you mail them what you have on me; \
      I would like the pictures from last time; I have a second opinion somewhere and they want to see it all; who do I ask for my x-rays
      better looks: can you make it look nicer; I would like it whiter; it has stains that don't go away; what can be done about the colour; \
      we are getting married and want it to look good; it looks yellow in photos; I don't like my smile; can you make the scratches go away
      thanks: thank you, you were great; so happy with the work; your people were friendly and quick; everything works perfectly now; \
      best service we ever had; tell your crew they did a good job; you saved our weekend; I am very grateful; give him a raise; \
      that was quick, well done; it has not hurt since; that really helped; I slept like a baby, no more trouble; my wife is thrilled
      not content: I am not happy with the work; they left a mess; nobody called me back; I expected better; this is the third time I ask; \
      I want this put right; this is not what I ordered; he was rude; there is dirt all over the floor; this has to be put right; I am disappointed; \
      I took a day off for nothing; you promised to call; the paint is scratched since you were here
      feedback: where can I leave a review; can I rate you somewhere; I would like to recommend you; how do I give you five stars; \
      where can I write something nice
      my details: I have a new address; we moved last month; my e-mail changed; please use this number from now on; \
      I got married, my name is different; please change my address; I am Mrs Keller now; the old number is no longer mine; \
      send everything to my new e-mail
      delivery and picking up: can you bring it to us; can somebody else pick it up for me; do you deliver; can I drop it off in the morning
      pictures: can I send you a picture of it; should I take a photo; do you want to see what it looks like; I took a photo, where do I send it; \
      will a video help
      stairs and wheelchairs: is there an elevator; I use a wheelchair; are there many stairs; my mother can't walk far; \
      my father is in a chair with wheels; I am on crutches
      language: does anyone speak Spanish; my English is not good; can my daughter translate; is there somebody who speaks German; \
      I understand better when it is written
      advice before deciding: is it worth repairing; should we replace it; which one would you take; what do you recommend; what are our options; \
      can it wait until next year; fix it or buy a new one; is that still worth it at its age; my neighbour says I should change it; \
      how long do these last; is it on its last legs; throw it out or keep it; what would you do in my place
      no hot water: the shower goes cold after a minute; there is no hot water this morning; the water is only lukewarm; \
      we have been washing with cold water for days; we heat water in a pot to wash ourselves; kettle baths again; my husband had an ice cold shower; \
      it runs warm and then icy; dishes in cold water again
      no heating: the radiators are cold; the house is freezing; the heating does not come on; upstairs is warm but downstairs is not; \
      we sit here in our coats; we are wearing jackets indoors; it is 55 in the living room; the baby's room won't get warm; only one room gets warm; \
      the pipes are cold to the touch; the kids sleep in hats
      low pressure: the gauge shows too little pressure; hardly any water comes out of the tap; the needle is in the red; it asks to be topped up; \
      only a trickle comes out of the shower; it wants me to add water; how do I fill it up again; the hand points below one; \
      the little dial is almost at zero; how do I get water back into the system
      drain: the sink does not drain; the water stands in the tub; the drain is clogged again; it gurgles when the water runs off; \
      it comes up in the basement when I flush; the shower floods when I wash; it smells from the sink; slow going down; \
      it takes an hour until the tub is empty; I dropped something down there; hair everywhere in it
      toilet: the toilet keeps running; the toilet does not flush; the tank never fills up; the toilet is loose on the floor; \
      I hear water running all the time in the bathroom; it overflows
      hard water: there are white spots on all the glasses; the taps are full of lime; the kettle has a thick crust inside; \
      our water is very hard, what can we do; soap hardly foams here; crusty white stuff on the shower head; my skin is dry from the water; \
      everything gets a white film; we go through so many coffee machines; chalk comes out of the tap
      cooling: the air conditioning blows warm air; it drips from the cooling unit; it is boiling in here, the cool air is gone; \
      the filter has to be changed
      saving energy: our heating costs are too high; how can I use less gas; is a heat pump something for us; the old one eats too much power
      teeth that need work: my filling came out; my tooth is sensitive to cold; a corner of my tooth is gone; my crown is loose; \
      there is a hole where I chew; something sharp in my mouth; a piece of the old silver came out; it twinges with ice cream
      gums and wisdom teeth: my gums bleed when I brush; something is growing in at the very back; my gum is swollen; \
      bad taste in my mouth since yesterday
      braces and guards: the wire pokes my cheek; my retainer does not fit any more; I grind my teeth at night; a bracket came off
      dentures and implants: my denture rubs; the plate broke in two; can a missing tooth be replaced
      routine look at the teeth: it is time for my cleaning; when did I last have a check-up; how often should I have it polished; \
      are new pictures really needed
      an animal is unwell: my dog does not eat; the cat has been vomiting; he is limping since our walk; she scratches herself all day; \
      he ate something in the park
      animals, routine: are his shots due; can you trim her nails; I need the papers to travel with my dog; do you board cats over the holidays
      car that does not run: the car does not start; the engine light came on; the brakes squeal; it pulls to one side; there is oil under my car
      car, routine: it is time for the inspection; I need my winter tires put on; an oil change, please; how many miles until the next service; \
      can I get a car while mine is with you
      boats: is my berth free; when do you lift the boats out; the bilge pump keeps running; can you winterise the engine; \
      I want to come in for two nights with my boat; is there fuel at the dock
      hair and nails: can you do my colour and a cut; my roots need doing; I only need a trim; does Anna have time for me; \
      it did not come out as I wanted
      cleaning: how much is it for three rooms; do you bring your own things to clean with; can you do the windows too; \
      the cleaner forgot the bathroom; every other week would be enough
      moving house: how many boxes will I need; do you take a piano; we have no elevator and live on the fourth floor; \
      can you store our things for a month; a chair was scratched in the move
      garden: the lawn has to be mown; can you cut the hedge; a branch is hanging over the roof; the plants are all brown; \
      will you take the leaves away
      renting a place: is the flat still free; can I see the room; when can we move in; may I have a pet there; the neighbours are loud; \
      when do I get the keys
      staying the night: do you have a room for tonight; is breakfast included; can we check in late; we would like to stay a day longer; \
      is there a crib in the room
      courses and lessons: is there still room in the class; I missed the last lesson; can I try it once; what level is it; \
      my son can't come to practice; which book do we need
      membership: how do I end my membership; can I pause for a month; I forgot my card; can I bring a friend along
      glasses and hearing: my glasses are bent; I have trouble reading small print; are my lenses in; my hearing aid whistles
      therapy and doctors: I need a new prescription; are my results there; do I need a referral; my back is worse; can I talk to the doctor
      shipping: where is my parcel; it was left at the wrong door; can you collect it from us; the box arrived damaged; I was not home when you came
      printing: can I see a proof first; which format do you need; how soon can you print them; there is a typo in it; can I have fifty more
      computers and phones: my screen is cracked; I can't log in; the battery does not last; can you save my pictures; I get no connection
      food and events: can we have a table for six; is there something without nuts; can you do it for eighty people; \
      we would like to order for Saturday; do you cater outside
      building and repairs: the roof leaks when it rains; the door does not close; can you paint the hall; there is mould in the corner; \
      when do the workers start; how long will the noise go on
      events that stop us: we have no power in the whole street; the road to us is flooded; because of the storm nobody can come; \
      is everything shut because of the snow
      change of mind about the order: can I still change my order; make it two instead of one; I would like another colour; \
      please add one more thing; we want the bigger one after all
      vouchers and gifts: do you have gift cards; how long is my voucher good for; I would like to give it as a present
      who speaks there: who am I writing with; who will come to us; can the same person come again; which of you was here last time
      safety and trust: is it dangerous; may we still use it; can it wait or should we switch it off; are your people insured; do you have a licence
      waste: will you take the old one with you; what happens to the packaging; where do I put the rubbish
      """
          .lines()
          .map(CommonAsks::read)
          .toList();

  private static Ask read(String line) {
    int end = line.indexOf(": ");
    return new Ask(line.substring(0, end), List.of(line.substring(end + 2).split("; +")));
  }
}
