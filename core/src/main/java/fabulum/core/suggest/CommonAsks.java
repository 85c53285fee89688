package fabulum.core.suggest;

import java.util.List;
import java.util.stream.Stream;

/**
 * What customers ask front offices, each ask in several wordings: so a question meets a template by
 * what both are about, though they share no word. These are asked in many trades; {@link TradeAsks}
 * has those of one.
 */
final class CommonAsks {
  private CommonAsks() {}

  /**
   * The wordings of each ask.
   *
   * @param name what it is about, for who reads this
   */
  record Ask(String name, List<String> wordings) {
    /** From a line: the name, a colon, and the wordings with semicolons between them. */
    static Ask read(String line) {
      int end = line.indexOf(": ");
      return new Ask(line.substring(0, end), List.of(line.substring(end + 2).split("; +")));
    }
  }

  private static final String OF_MANY_TRADES =
      """
      opening hours: when are you open; what time do you close tonight; are you there on Sundays; are you closed over the holidays; do you work \
      through lunch; is anybody still in after six; how early can I come by; are you open between Christmas and New Year; what are your hours on \
      Saturday; will you be there on the long weekend; I get off work at five, would I still catch you; is the front desk staffed on weekends; do \
      you take a break at noon; are you working on the holiday Monday; your door was locked when I came by; up to when can I drop in; I only have \
      time before work, is anyone in at seven; does somebody pick up the phone after hours; are you taking the week off in August; can I still \
      reach you today
      finding the place: where are you located; what is your address; I can't find the building; my navigation sent me to the wrong street; which \
      entrance do I use; I drove past twice and see no sign; which floor are you on; I am standing in front of the wrong house; how do I get to \
      you by bus; is it the house next to the church; I am lost, can you guide me in; the taxi let me out somewhere else; the map shows two places \
      with your name; I only see a supermarket here; the street number is missing; am I right behind the petrol station; where do I have to turn \
      off; the app took me to your old place; is it the blue building; what do I put into the map; your door has no name on it; I keep ending up \
      at the wrong end of the road; is there a landmark nearby; we got lost on the way
      parking: where can I park; is there parking at your place; all the spaces are taken; do I have to pay for parking; can I leave my car in the \
      yard; is there room for a trailer; I have been circling for ten minutes looking for a spot; will I get a ticket if I stop out front; can the \
      van stand in your drive
      running late: I will be ten minutes late; stuck in traffic; I won't make it on time; the train is delayed; flat tire, I will be there later; \
      still at work, can I come a bit after; the road is blocked, this will take a while; please wait for me, I am on my way; overslept, leaving \
      the house now; my ride did not show up; the bus just left without me; there is an accident on the highway; my meeting is running over; held \
      up at school with the kids; I have only just left home; give my slot to somebody else if you must, I will be half an hour behind; the car \
      would not start but I am coming; snow everywhere, crawling along; there was a wreck on the bridge; they closed my exit; sorry, just got out \
      of the meeting; do not give away my spot, almost there; the sitter is late so I will be too
      cancelling: I have to cancel my appointment; something came up, we can't come; please take me off the schedule; it solved itself, nobody \
      needs to come; no need to send anyone any more; my child is sick, I can't come tomorrow; we have decided against it; I found somebody else, \
      please call it off; it works again by itself; I can't make it after all; I am down with the flu; we will be out of town that day; my boss \
      won't let me go; plans have changed, sorry; found the problem myself, a loose plug; never mind, it has sorted itself out; please don't come \
      tomorrow; something has come up in the family; sorry, can't do it this week after all; the problem is gone; you can give my time to somebody \
      else; I am stuck abroad; it was nothing after all
      moving an appointment: can we move it to another day; could I come next week instead; does an earlier time work; I have to work that day, is \
      there another slot; Thursday is bad for me after all; can you push it back an hour; I need to postpone; is there anything later in the day; \
      my shift changed, could we do Friday; I am double-booked that morning; would the afternoon be possible instead; do you have something \
      sooner; the week after would suit me better; I can only do evenings now; my daughter has a game that day; would it hurt to wait another \
      week; any evening would be better; I have a clash on the fourth
      wanting an appointment: I need an appointment; do you have an opening this week; when could somebody come and have a look; what is your next \
      free slot; can you fit me in today; I would like to come in soon; how long is the wait for a date; please book me in; can I come without an \
      appointment; how soon could I be seen; my wife says I should finally come in; put me down for whenever you have time; I want somebody to \
      look at it before winter; any chance you squeeze us in; I need to come in for the usual; when would you have time for me; my last visit was \
      ages ago and I want to come by again; what is the soonest you have; it is for my husband, he needs to see you
      confirming: yes, I will be there; the time works for me; see you tomorrow as agreed; I got your reminder and I am coming; confirming for \
      Thursday; that date is fine; all good, Tuesday it is; yes please keep it; we are on for tomorrow; I will make it
      which date was it: when was my appointment again; what time did we say; I forgot which day I am coming; do I have something booked with you; \
      I lost the card with the date; is it this week or next; my calendar is empty but I thought I was coming this week; my wife booked it and I \
      don't know when; was that morning or afternoon; I deleted the message with the date; am I down for anything
      where is your person: when will your technician be here; is somebody still coming today; we have been waiting since eight; how far away is \
      he; nobody has shown up yet; has your colleague left already; it is past noon and no one is here; can you tell me roughly when they arrive; \
      I have to leave soon, are they close; I took the morning off for this; the doorbell has not rung; should I keep waiting; the window you gave \
      me is over; is the van on its way; I am standing at the door waiting; he was supposed to be here by now; still nothing here; it is half past \
      ten and I am alone; he said between eight and ten; could you give the driver a nudge; I have to pick up my kids at three, will it be before \
      that
      price: how much does it cost; what do you charge for that; is there a call-out fee; what is your hourly rate; is that expensive; do you have \
      a price list; how much more would it be; roughly what am I looking at; is it more than a hundred; do you charge for the drive; does it cost \
      extra on weekends; what would that set me back; is the first visit free; what is the damage going to be; is that within a normal budget; my \
      neighbour paid two hundred, is that right
      estimate: can you give me a quote; I need an estimate in writing; what would it come to roughly; please send us an offer; can you come and \
      tell us what it would cost; how long is your offer good for; my husband wants to see a number first; we are comparing three companies; could \
      you put that on paper; what would a new one cost put in; before we decide we need a figure; nobody has told me a price yet
      ways to pay: do you take credit cards; can I pay cash; is there a link to pay online; can I send a check; may I wire the money; do I pay now \
      or later; can I pay with my phone; do I have to bring cash; I left my wallet at home; is a bank transfer all right; can my company pay for \
      it; do you send a bill or do I pay on the spot; is plastic fine; do you take foreign cards; can I pay at the counter; does it have to be all \
      up front
      paying bit by bit: can I pay it in parts; I can't afford it all at once; is there a payment plan; could we spread it over a few months; \
      money is tight right now; half now and half later; that is a lot at once; I get paid at the end of the month; could I give you some now and \
      the rest later; is there any way to stretch that; I am between jobs at the moment; could I clear it by spring; a little each month would be \
      easier
      a bill that is not clear: I do not understand my invoice; why was I charged twice; what is this item on the bill; the amount is higher than \
      you told me; there is a mistake in the statement; I was not even there on that date; I already paid this; what are these forty dollars for; \
      I thought that was free; it says two hours but he was here for one; my bill says something different from what we agreed; you sent me \
      somebody else's bill; we got a letter that we owe you; who approved this amount; two bills for one visit; it is twice what my friend paid
      receipt or copy: I need a receipt for my taxes; can you send me the invoice again; I lost the bill; my accountant needs the paperwork; \
      please mail me a copy; I need proof that it was paid; the tax office wants to see it; I need something for my employer; I need it with the \
      company's name on it; can you resend last month's
      insurance: do you accept my insurance; will my plan cover this; my coverage changed, do you still take me; I have a new policy; do you bill \
      them directly; what part do I have to pay myself; we switched to another provider at work; my benefits start next month; I have a different \
      card now; do you work with the new plan of my company; are you in network; will they pay for it; who sends it in, you or me; my husband's \
      plan ended; I turned 26 and lost my parents' cover; my new employer has a different company; do I have to lay out the money first; they say \
      you need to send them a code; they turned it down; do you need the number on my card
      refund and deposit: can I get my money back; when will I get the refund; do I have to leave a deposit; what happens with the deposit
      guarantee: is it still under warranty; it broke again after you fixed it; the repair did not last; you replaced it and the same thing \
      happens again; who pays when it fails again so soon; I thought this had been taken care of; is that covered by the guarantee; it worked for \
      a month and now it is back; only three months and it is broken again; didn't you just fix that; I hope I don't have to pay for this twice; \
      you were here for the very same thing; it lasted a week; I paid for this in spring and it is at it again; the new piece is already worn out; \
      you stand by your work, right
      ordered parts: has my part arrived; any news about the order; how long until the piece is here; we are still waiting for the spare part; is \
      it on back order; you wanted to order something for us; it has been weeks because of one small thing; did it come in yet; any word from the \
      supplier; the thing you sent for; we can't use it until you have the piece; you said it would take a week, that was a month ago; are we \
      still waiting on the factory; can you hurry the supplier; when it comes in, please let me know first
      is it done: is it ready; how far are you with it; when can I pick it up; is the work finished; any progress; when do I get it back; can I \
      come and get it; just checking where we stand; are you nearly there; will it be done by the weekend
      urgent: it is an emergency; who can I reach at night; I need help right now; this can't wait until Monday; what do I do until you get here; \
      is there somebody on call; please hurry; is anyone there right now; it is getting worse by the minute; I don't know what to do; it happened \
      just now; it is Sunday and I need someone
      water where it should not be: water is dripping through the ceiling; there is a puddle on the floor; a pipe has burst; the carpet is soaked; \
      how do I shut the water off; it is running down the wall; a wet patch on the wall is growing; the cupboard below the sink is wet; we put a \
      bucket under it; something is wet below the boiler; drip drip drip all night; my feet got wet in the laundry room
      dangerous smell: it smells like gas; there is a smell of rotten eggs; something smells burnt; should we leave the house; the detector went \
      off; something smells funny in the cellar; is it safe to stay inside; we opened all the windows
      it does not work: it does not turn on; nothing happens when I press the button; it stays cold; it stopped in the middle of the night; we \
      have been without it since yesterday; it went off by itself; it keeps shutting down; dead as a doornail; it clicks but that is all; it \
      worked yesterday; everything is dark on it; I have tried switching it off and on
      message on the device: there is a message on the screen; it shows a code; a red light is blinking; the panel asks me to do something; what \
      does this symbol mean
      strange noise: it makes a strange noise; it rattles and bangs; it hums all night; there is a whistling sound; it sounds like a helicopter; \
      knocking in the pipes
      settings: how do I set the timer; how do I turn it down at night; I can't figure out the controls; which button is for that; the kids \
      changed all the settings; it turns itself on at three in the morning; I want it cooler at night; what do the numbers on it mean; the clock \
      on it is wrong since the time change; we only want it on when we are home; it shows the wrong day; the display is locked
      yearly service: is my yearly check due; it has been a year since you were here; when was it last serviced; time for the annual inspection; \
      how often should it be looked at; you usually remind me around this time; do I really need it every year; it has not been looked at since \
      last fall; isn't it that time again; before the season starts I want it looked at; the sticker says it is due; a year has gone by already; \
      do you come on your own or do I have to call; it needs its usual going-over
      getting in: nobody is home, how will you get in; the key is with the neighbour; can I leave the key somewhere; the code for the gate is; the \
      dog is in the yard, please be careful; do I have to be there; somebody will open the door for you; I am at work all day; there is a box with \
      a code by the door; my mother-in-law will let you in; ring twice, the bell is weak; can they do it without me there; I start work at six so \
      no one is here; we hid one under the flower pot; the caretaker can open; the lock sticks, lift the door a bit
      renting: I only rent here; does my landlord pay for this; please talk to the property manager; the house does not belong to me; my tenant \
      called me about it; the owner has to agree first; we are tenants; my landlord says I should call you; the building is managed by somebody; I \
      own the place but live elsewhere; who gets the invoice, me or the owner; this is a rented flat; my lease says the owner takes care of it; \
      the man who owns it is far away; can you send it to the owner's address
      money from outside: is there a subsidy for a new one; do I get a tax credit; is there a discount for seniors; do you have a special offer; \
      does the state pay a part of it; I read that there is money for that; do I get something back from the city; are veterans cheaper; can I use \
      two coupons; my cousin got a cheque back for his; do you handle the application for that; is there any help with the cost
      papers and forms: where do I sign; do I need to fill something in beforehand; the form does not open; do you need my signature; I have \
      filled in the questionnaire; which papers do you need; I can't print that at home; I got a link but it is empty; do I have to send it back \
      signed; is there anything to fill out; may I do that on my phone; the page says my link is too old; is it enough if I fill it in there; I \
      need a doctor's note for work
      what to bring, how to prepare: what should I bring; do I have to prepare anything; may I eat before I come; should I clear the room first; \
      do I need somebody to drive me home; what should I wear; how long will it take; do I need to be sober; can I have breakfast that day; do I \
      have to take time off afterwards; may I drive home myself; should I clean it before; do you need the old one too; on an empty stomach; do \
      you have something to put over my clothes; is one hour enough time
      children: do you see children; my son is five, is that too young; can I bring my baby; she has to come after school; does a parent have to \
      be there; our little one has never been; from which age; she won't sit still; can his grandmother come with him; he is only two; what do you \
      do with kids who cry; can both of mine come at once
      afraid: I am scared of it; I am nervous about tomorrow; I had a bad experience once; can I get something to calm me down; will it hurt; I \
      have been putting this off for years; my hands get sweaty just thinking of it; I have not been for ten years because of fear; can you put me \
      under; please be gentle with me; is there something for my nerves; last time I cried; I nearly cancelled because I am so worried; do you \
      have laughing gas
      pain: it hurts a lot; I can't sleep because of the pain; it is swollen; the pain gets worse at night; it hurts when I touch it; what can I \
      take for it; it throbs; I was up all night with it; painkillers do not help; half of my face is thick; it aches when I drink something cold; \
      I can't chew on one side; it woke me up at four
      after it was done: when can I eat again; is swelling normal; it is still bleeding; how long should I rest; may I go back to sports; it is \
      still numb; when do the stitches come out; can I have coffee yet; is it normal that it still feels strange; do I have to keep the bandage \
      on; a bit of blood in the morning; can I sleep on that side; it feels like cotton in my cheek; may I smoke; the hole looks strange; can I \
      work out tonight
      something came off: a piece broke off; it fell out; it came loose again; it feels wobbly; I lost it while eating; I have it here in my hand; \
      I bit on something hard; there is a sharp edge now; it came off with the chewing gum; can you glue it back; I swallowed it, I think; it is \
      in a little box, shall I bring it
      new here: are you taking new customers; I have never been to you; we just moved to town; a friend recommended you; how do I sign up with \
      you; do you have room for one more family; my old one retired; I got your name from my neighbour; is there a waiting list; we are new in the \
      area and need somebody; my last one closed down; my insurance gave me your name; do you have space for a family of four
      my records: please send my file to my new place; we are moving away; can I have copies of my records; another office needs my pictures; do \
      you still have my old papers; our new place asks for my chart; we are leaving town next month; can you mail them what you have on me; I \
      would like the pictures from last time; I have a second opinion somewhere and they want to see it all; who do I ask for my x-rays
      better looks: can you make it look nicer; I would like it whiter; it has stains that don't go away; what can be done about the colour; we \
      are getting married and want it to look good; it looks yellow in photos; I don't like my smile; can you make the scratches go away
      thanks: thank you, you were great; so happy with the work; your people were friendly and quick; everything works perfectly now; best service \
      we ever had; tell your crew they did a good job; you saved our weekend; I am very grateful; give him a raise; that was quick, well done; it \
      has not hurt since; that really helped; I slept like a baby, no more trouble; my wife is thrilled
      not content: I am not happy with the work; they left a mess; nobody called me back; I expected better; this is the third time I ask; I want \
      this put right; this is not what I ordered; he was rude; there is dirt all over the floor; this has to be put right; I am disappointed; I \
      took a day off for nothing; you promised to call; the paint is scratched since you were here
      feedback: where can I leave a review; can I rate you somewhere; I would like to recommend you; how do I give you five stars; where can I \
      write something nice
      my details: I have a new address; we moved last month; my e-mail changed; please use this number from now on; I got married, my name is \
      different; please change my address; I am Mrs Keller now; the old number is no longer mine; send everything to my new e-mail
      delivery and picking up: can you bring it to us; can somebody else pick it up for me; do you deliver; can I drop it off in the morning
      pictures: can I send you a picture of it; should I take a photo; do you want to see what it looks like; I took a photo, where do I send it; \
      will a video help
      stairs and wheelchairs: is there an elevator; I use a wheelchair; are there many stairs; my mother can't walk far; my father is in a chair \
      with wheels; I am on crutches
      language: does anyone speak Spanish; my English is not good; can my daughter translate; is there somebody who speaks German; I understand \
      better when it is written
      advice before deciding: is it worth repairing; should we replace it; which one would you take; what do you recommend; what are our options; \
      can it wait until next year; fix it or buy a new one; is that still worth it at its age; my neighbour says I should change it; how long do \
      these last; is it on its last legs; throw it out or keep it; what would you do in my place
      events that stop us: we have no power in the whole street; the road to us is flooded; because of the storm nobody can come; is everything \
      shut because of the snow
      change of mind about the order: can I still change my order; make it two instead of one; I would like another colour; please add one more \
      thing; we want the bigger one after all
      vouchers and gifts: do you have gift cards; how long is my voucher good for; I would like to give it as a present
      who speaks there: who am I writing with; who will come to us; can the same person come again; which of you was here last time
      safety and trust: is it dangerous; may we still use it; can it wait or should we switch it off; are your people insured; do you have a \
      licence
      waste: will you take the old one with you; what happens to the packaging; where do I put the rubbish
      lost property: I left my umbrella with you; did anyone find a grey scarf; my son forgot his jacket at yours; I must have dropped my keys \
      there; do you have a lost and found; one of her gloves is missing since we were with you; my charger is still in the socket; somebody took \
      the wrong coat; could you look whether my phone is lying around; my ring must be by the sink; a blue water bottle, was it handed in; we went \
      home without his hat
      signing up: how do I sign up; we would like our daughter to join; where do I enrol him; put us down for the spring course; my friend comes \
      to you and I would like to as well; what do you need from us to register; he wants to start too; can one still get in; it is high time she \
      learned it; do we have to become members first; when does the next one begin; I want my mother to take part
      the right level: which group is right for him; she can do a little already; he is bored with the beginners; I am a complete beginner; where \
      would you put someone like that; it is too easy for her; I did this years ago, do I start from scratch; he is far ahead of the others; do \
      you test them first; which one comes after this; is it for people who know nothing yet; she can't keep up with the big ones
      full, waiting list: it says it is full; let us know if a place comes free; the button is greyed out; if anyone cancels think of us; how far \
      down the list are we; the one we wanted is gone already; could we slip in when somebody gives up; it won't let me choose that one; any \
      movement on the list; are we next in line; I was too slow this time
      not coming to class: she won't be in class today, she has a fever; we will miss this week; he is ill, please tell the teacher; leave us out \
      on Monday; we are at a wedding that day so no lesson; my back is out so I skip this one; go ahead without us today; she has a big test and \
      stays home; he can't take part this time; no class for us this week, we have visitors; he was up all night with his stomach
      making up for one missed: can we make up the one we missed; may he come on another day instead; the class was called off, will it be given \
      again; could she sit in with the Tuesday people once; what happens to the hour we lost; we were away twice, can we do those later; is that \
      lesson simply gone; can it be added at the end; would another group take her for a day; your teacher was ill, do we get that one back
      leaving a course, the money for it: she does not like it, can we stop; do we get something back when we quit; the doctor has forbidden it, \
      what about the rest of the fee; we paid for ten and used two; he refuses to go; we are moving and can't finish it; is what we paid lost; it \
      is not what we thought it would be; I broke my arm and can't go on; can my friend have my place
      pausing: can I pause for two months; I am abroad all winter, do I keep paying; put my contract on hold; I am having surgery and won't come \
      for a while; stop charging me until May; I work away for half a year; we are expecting a baby, so not for some months; hold my place, \
      please; laid up until summer; I have to take a break from it
      ending it: how do I quit; I want to end my contract; what is the notice; please do not renew it; it renewed although I did not want that; \
      from when am I free of it; I don't use it any more; where do I send my notice; take me out of your system; we are done, thank you, no more \
      after June; I would like to get out of this
      proof and certificates: I need a certificate; the school wants proof; can you confirm in writing that he took part; where is the badge she \
      earned; my employer wants to see that I was there; can it be printed again; I need a letter for the authorities; do we get something to hang \
      on the wall; he passed but has nothing to show for it; mine got lost in the move
      when it is quiet: when is it less busy; it was packed last night; what is a good time to come; one could hardly move; how long is the line \
      at noon; are Mondays calmer; I do not like crowds; the queue went out of the door; is there a rush after school; which hour would you choose
      things to lock away: where can I leave my things; is there somewhere to lock up my bag; do you have lockers; can my suitcase stay with you \
      for some hours; what do I do with my laptop meanwhile; may the pram stay inside; does someone watch the coats; do I need a coin for it; is \
      my purse safe there
      ill, may I come: I have a cold, may I come; he has a rash, is that a problem; a bug is going round at school; is it catching; I tested \
      positive this morning; she has a cut that is still open; should we stay away with a cough; he has had a fever since last night; when may she \
      come back after being ill; can he take part with a sore ear; pink eye, do we stay home
      old enough: how old does she have to be; ours is only four months; may he come alone, he is ten; from what age on; is that something for \
      toddlers; do I have to stay with him; do you have something for babies; is she too little for it; can the big one go in without me; he will \
      be three in May; is there an upper limit, I am 74
      celebrating with you: can we celebrate a birthday at yours; he wants all his friends there; a dozen kids and a cake; do you do parties; our \
      company would like to come for an evening; could we bring balloons; is there a room just for us; it is her fortieth; we are planning a \
      reunion; can we rent the whole place for a night
      one to one: could he have someone for himself; do you give private lessons; he gets lost in a group; I want a trainer just for me; I have an \
      exam to prepare for; somebody who watches only me; can two of us share a teacher; I would rather do it without others around; one on one \
      would suit her better
      warm or cold there: is it warm in there; she freezes easily; how cold is it; is it heated; it was like a fridge last time; are the rooms \
      cool in summer; my mother needs it warm; do I need a sweater inside; I was shivering the whole time; do they turn it up in winter
      closed for works: the sign says closed from the third; will you be shut in summer again; how long will the building work go on; is anything \
      open meanwhile; when do you reopen; there is paper over your windows; I read you are renovating; where are we to go in the meantime; does \
      everything stop for two weeks again
      families, groups, regulars: is there a family ticket; two grown-ups and three kids, what do we pay; is it cheaper when I come often; do you \
      have a punch card; do students pay less; we are a group of fifteen; is there a season ticket; my father is retired, less for him; I come \
      nearly every day, is there something for that; what is it for the whole bunch of us
      booking by computer does not work: I can't log in to book; your page does not work; I forgot my password; the code never came; the link is \
      dead; it says my card is refused; can I do it by phone instead; the app throws me out; it keeps spinning; I have no internet at home; I \
      don't want to type my card into a website; is there a form on paper
      dearer than before: why has it gone up; it used to be less; since when is it more; I paid less last year; your letter says it rises; is the \
      old price still good for me; thirty more than last time
      weather: does it take place in bad weather; a storm is coming, do we still meet; is it called off because of the heat; it looks dark \
      outside; there is ice on the road, are you going ahead; they say thunder for tomorrow; will you let us know when it is cancelled
      what happens next: what is the next step; I sent everything, what now; who gets in touch with whom; do I have to do anything else; how does \
      this go on; you have my papers, and then; am I to wait or to call; when do I hear from you; is there anything you still need from me
      how long it takes: how long does it take; will I be out by noon; can I wait for it; do I have to stay the whole time; how many visits will \
      it need; is it done in one go; I have a train at four; is it quicker if I come early; should I plan the whole morning
      bringing somebody or an animal: may I bring my dog; can my friend come along; is there room for my parents to watch; may my husband sit in; \
      do you mind if I bring the kids; are guests allowed; I have nobody to leave the puppy with; can I bring a carer
      allergies and food: she is allergic to nuts; is there something without milk; he can't have gluten; do you have vegan food; I can't take \
      anything with shellfish; what is in it; she swells up from eggs; do you cook without pork; is there something for diabetics
      nobody answers the phone: nobody picks up; I have called three times; your line is busy all day; can somebody ring me; I was on hold \
      for half an hour; please call my husband instead; I missed your call, what was it about; when can I speak to a person; which number is the \
      right one
      talk to the person in charge: can I speak to your boss; who decides that; I would like the owner to call me; who do I complain to; is the \
      manager in; I want this in the hands of somebody who can change it
      work with you: are you hiring; do you need help in summer; where do I send my papers; my son looks for a place to learn the trade; do you \
      take interns; I saw the sign in your window, is the job still free
      selling and business mail: we offer the best leads for your firm; would you like to be first in every search; I represent a supplier; can we \
      put our flyer on your counter; we would like you as a sponsor; do you donate to school raffles; can I hang up a poster
      lost or broken key or card: I lost my key; my card does not open the door; the key broke off in the lock; my chip stopped working; do I have \
      to pay for a new one; we are locked out; the code does not work any more; somebody stole my purse with the key; the door shuts itself and \
      mine is inside; I need one more for my daughter
      """;

  /** All of them, those of one trade too. */
  static final List<Ask> ALL =
      Stream.of(OF_MANY_TRADES, TradeAsks.WORDS).flatMap(String::lines).map(Ask::read).toList();
}
