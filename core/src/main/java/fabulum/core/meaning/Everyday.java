package fabulum.core.meaning;

import java.util.List;

/**
 * What people write to any business, and no template answers: greetings, wrong numbers, offers,
 * chat. What is closer to these than to the questions of before gets no suggestion.
 */
public final class Everyday {
  private Everyday() {}

  /** Sentences, each by itself. */
  public static final List<String> TALK =
      """
      Good morning!
      hello there
      Hi, how are you today?
      thank you very much
      ok thanks
      sounds good
      great, see you then
      haha that is funny
      yes
      no worries
      sure
      lol
      have a nice weekend
      merry christmas and all the best
      happy birthday
      who is this
      wrong number, sorry
      sorry, I meant to text somebody else
      is this still your number
      please call my mother when you can
      I will be home at six, love you
      did you feed the cat
      can you pick up milk on the way
      where did you leave the car
      what's for dinner tonight
      I love that song
      did you watch the game last night
      what a beautiful day outside
      it is raining cats and dogs here
      are you coming to the party on Saturday
      we offer cleaning services for companies
      we can improve your ranking in search engines
      would you be interested in a new copier for your office
      I sell advertising in the local newspaper
      we would like to sponsor your event
      please donate to our fundraiser
      can we hang a poster in your window
      your account has been suspended, click here
      you have won a prize, claim it now
      your parcel could not be delivered, pay the fee here
      I am writing a paper for school and have some questions about your business
      can my class visit you for a field trip
      do you have an internship for the summer
      are you hiring at the moment
      I would like to apply for a job with you
      here is my resume
      does Kevin still work there
      could I talk to the owner about a partnership
      who is your manager
      what is the name of the lady at the front desk
      I went to school with one of your colleagues
      my cousin wants to say hello to the boss
      who painted the picture in your lobby
      I like your new logo
      your web page has a typo
      the link on your homepage does not work
      who built your website
      can you recommend a restaurant nearby
      do you know a good electrician
      which hotel would you recommend
      is there an ATM close by
      when does the shop next door open
      does the bus stop in front of your house
      there is a car parked in front of your gate with its lights on
      somebody left a bike against your fence
      a tree has fallen over on your street
      your flag is upside down
      your sign is not lit at night
      the alarm of your building is ringing
      I found a wallet near your door
      I lost my glasses, did anybody find them
      I forgot my jacket at your place
      did I leave my umbrella with you yesterday
      I think my hat is still at your office
      did someone hand in a phone
      may I bring my dog
      can I borrow your ladder
      can you take in a package for me
      would you lend us some chairs for a party
      can I use your restroom
      can I charge my phone at your place
      do you have wifi for guests
      can we take wedding pictures in front of your house
      could I fly my drone over your place
      are you on social media
      can I get a sticker
      do you sell t-shirts with your name
      do you give away old magazines
      who is the mayor of the town now
      what is the capital of Iceland
      what time is it in Tokyo
      how tall is the tower by the river
      what is the weather like tomorrow
      when is the farmers market
      what is the score
      can you tell me a joke
      are you a robot or a person
      I do not understand you
      what do you mean by that
      call me
      please call me back
      I tried to call you but nobody answered
      I sent you an e-mail, did you get it
      I left a message on your machine
      did you receive my letter
      please stop sending me mail
      I never signed up for this newsletter
      I want to complain about one of your drivers
      your music is too loud
      somebody was rude to me on the phone
      I want to speak to a supervisor
      the neighbours are complaining
      see attached picture
      here you go
      I have sent the photo
      got it
      will do
      let me think about it
      I will ask my husband and come back to you
      give me a minute
      on my way
      just landed
      I am in a meeting, talk later
      my phone died
      new phone, this is my number now
      please save my new number
      this is Sandra, Paul's wife
      my name is Peter
      I am a friend of Lisa's
      we met at the fair last week
      congratulations on your anniversary
      get well soon
      so sorry for your loss
      we are thinking of you
      welcome back from vacation
      how was your holiday
      is the office cat still around
      what kind of tree is that in your yard
      which paint colour is on your walls
      what coffee do you serve
      """
          .lines()
          .toList();
}
