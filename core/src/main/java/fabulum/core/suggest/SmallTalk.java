package fabulum.core.suggest;

import java.util.List;

/**
 * More of what is written to any business and no template answers, beside {@link
 * fabulum.core.meaning.Everyday}; from its middle points of meaning are seen, which more of it
 * would move.
 */
final class SmallTalk {
  private SmallTalk() {}

  /** Sentences, each by itself. */
  static final List<String> ALL =
      """
      sorry, that was meant for my brother
      oops wrong chat
      hi, it's me
      are you there
      hello?
      hello is anybody reading this
      good evening everyone
      good night
      thanks a lot, bye
      ok bye
      perfect, thank you
      awesome
      alright
      fine by me
      understood
      yes please
      no thank you
      no
      maybe later
      I don't know yet
      not now, I am driving
      let me ask my wife first
      I will let you know
      I'll get back to you next week
      that is all I wanted to know
      never mind then
      you too
      same to you
      happy easter
      happy thanksgiving to all of you
      merry christmas and a good new year
      have a great day
      enjoy your evening
      hope you are well
      how are the kids
      how is your mother doing
      say hi to everybody from me
      tell Joe I said hello
      is Linda back from her holiday
      is Frank still with you
      does Amy have a day off today
      who was the young man I spoke with
      your new colleague is very nice
      I have known your boss since school
      are you related to the baker
      my sister used to work for you
      I passed your house today
      nice pictures on your wall
      I saw you in the newspaper
      you were on the radio this morning
      I follow you online
      what a game yesterday
      did you hear the thunder
      so much snow this year
      finally some sun
      it is hot today isn't it
      how about this weather
      my battery is at two percent
      I have no signal here
      I dropped my phone, sorry for the typos
      my son was playing with my phone
      autocorrect again
      I can't talk right now
      I am at work, will write later
      running into a meeting
      I'm in the shower
      I am on the train
      back in five
      I will call you tonight
      can you ring my husband instead
      please phone me when you have a minute
      give me a ring
      who called me from this number
      I have a missed call from you
      why did you text me
      I did not write you
      please take me off your list
      stop
      unsubscribe
      do not text me again
      is this a real person
      am I talking to a machine
      prove that you are human
      I don't trust links in texts
      your account needs to be verified now
      you qualify for a loan
      congratulations, you have been selected
      we buy houses for cash
      cheap tires for your fleet
      we sell software for offices like yours
      I would like to show you our new line of coffee machines
      may we send you our catalogue
      are you the person who decides about insurance for your firm
      we can clean your windows
      we print calendars and pens with your name
      who does your accounting
      I am calling about the energy contract of your company
      our club is looking for sponsors
      we collect for the fire department
      my daughter sells cookies for her school
      can I put up flyers
      would you hang up our poster
      do you need somebody for the summer
      are you looking for a driver
      is the job in your window still open
      my son is looking for an apprenticeship
      can I send you my application
      do you take trainees
      we are students and do a survey
      I write for the local paper and would like an interview
      may our class come and see how you work
      the inspector will come on Monday
      we need to read the meter in your building
      the fire alarm in your house will be tested tomorrow
      the delivery for you is at our door
      a package for you came to us by mistake
      your van is blocking our drive
      somebody left the lights on in your car
      your gate is open
      there is smoke behind your building
      a cat sits on your roof
      one of your letters came to my house
      the sign over your door is crooked
      your phone does not work
      your page is down
      I like your website
      the picture on your page is old
      can you change the music on your phone line
      which school did you go to
      do you know a good plumber
      do you know a dentist around here
      where is the post office
      when does the supermarket close
      is there a train on Sunday
      how do I get to the airport
      what is the best pizza in town
      how do you spell your name
      how much is a stamp
      what day is it today
      can you help me with my homework
      do you believe in ghosts
      sing me a song
      my horoscope says today is my lucky day
      knock knock
      hahaha
      ouch
      hmm
      ???
      asdf
      test
      please ignore this
      this is a test message
      I am bored
      I miss you
      see you at mom's
      don't forget to take the trash out
      can you get bread on your way home
      where are you, dinner is ready
      the kids are asleep
      pick me up at five please
      I left the key under the mat for you darling
      happy birthday grandpa
      our team won
      we named the baby Oscar
      it's a boy
      I got the job
      she said yes
      we are engaged
      my father passed away last night
      he is in hospital
      I am feeling better today
      thinking about you
      I made too much soup, want some
      would you like a kitten
      my cousin sells his boat
      I have a couch to give away
      do you want to buy raffle tickets
      are you coming to choir tonight
      the meeting is moved to the church hall
      book club is at my place
      coach says practice is off
      is the shop next door open today
      until when is the café below you open
      do the people upstairs from you still live there
      what happened to the bookshop across the street
      who owns the building you are in
      is the tall one still working there
      is your receptionist new
      how old is your boss
      is he married
      what was the name of the nice lady at your desk
      whose dog is that in your picture
      who took the photo on your card
      what make is the lamp in your hall
      who painted your walls, we like the colour
      what kind of tree is that in front of your house
      where did you get your chairs
      who won on Saturday
      did our school win
      there was a deer in your yard this morning
      an owl sits in front of your window
      I can get you more good reviews
      we have gloves and masks at half the price
      we sell what you use every day, only cheaper
      would you like to be in our guide for visitors
      can I use a picture of you for my page
      may we film at your place
      I make honey, would you sell it for me
      would you give something for our raffle
      could you hang our notice in your window
      are you taking on people with no experience
      do you have work for a student on weekends
      my nephew would like to work with his hands, do you train people
      I would like to talk to your team about pensions
      our group would like to see behind the scenes
      we have to count the smoke alarms in every house
      the city wants to look at your sidewalk
      I found a glove outside your door
      somebody's keys lie on your steps
      a tool lies in my garden, it may be one of yours
      the light in your sign is out
      your flag has come down
      somebody scratched my car in the street, did your camera see it
      the lift in your house is stuck with me in it
      do you still give away those calendars
      can I have one of your caps
      is this the flower shop
      is that still the number of the hotel
      I need somebody to carry a sofa upstairs, do you know anyone
      can you lend me a ladder
      my phone was off all day
      happy new year, everybody
      """
          .lines()
          .toList();
}
