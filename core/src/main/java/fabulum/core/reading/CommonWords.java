package fabulum.core.reading;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Words that say nothing of who writes: the most frequent ones of everyday texts in English, and
 * small words of the other languages that are understood.
 */
public final class CommonWords {
  private static final Set<String> ALL =
      new HashSet<>(
          List.of(
              """
              a able about above across actually add address after again ago ahead all allow almost alone along already also always am among an
              and animal another answer any anybody anymore anyone anything anyway apartment appointment apply appreciate are area around arrive as ask
              asked asking at available away awesome baby back bad bag be because become been before began begin behind being believe below best better
              between big bill bit black blue body book both bottom bought box boy bring broke broken brother brought building business busy but
              buy by bye call called calling calls came can cannot cant car card care carry case cash cat caught cell center certain chance change
              charge cheap check child children city class clean clear close closed code coffee cold come comes coming company confirm contact cool
              cost could couldnt couple cover cut dad daily dark date daughter day days deal dear deep did didnt different dinner do doctor does doesnt
              dog doing dollars done dont door down drink drive driver drop due during each ear early easy eat either else email emergency end
              enough evening ever every everybody everyone everything exact exactly excited excuse expect extra eye face fact fair fall family far fast
              father feel feet fell few fill final finally find fine finish finished fire first fix fixed floor follow food foot for forget forgot
              forward found free friday friend friends from front full fun game gate gave general get gets getting girl give given glad go goes
              going gone gonna good got grandma grandpa grandson great green grey gray guess guy guys had hair half hand hang happen happened happy hard
              has hasnt hate have havent having he head hear heard heart heat heavy held hello help her here hey hi high him his hit hold
              home hope hot hotel hour hours house how hows however hurt husband i id idea if ill im important in info inside instead insurance
              interested into invoice is isnt issue it its ive job join just keep keys key kid kids kind kitchen knew know known lady land
              large last late later latest lately lead leak leaking learn least leave left leg less let lets letter light like line list little
              live loan local lock locked lol long look looked looking looks lose lost lot love low luck lunch machine made mail main make
              makes man manager many map market matter may maybe me mean means meet meeting men message met might mile miles mind mine minute
              minutes miss missed missing mom monday money month months more morning most mother mouth move moved movie mr mrs ms much mum music
              must my myself name near need needed needs neighbor neither never new news next nice niece nephew night no nobody none noon normal not
              nothing notice now number of off offer office often oh ok okay old on once one ones online only open opening option or order other
              others our out outside over own owner paid paint paper parents park parked parking part parts party pass past pay paying people per
              perfect person pet phone photo pick picked picking pickup picture piece place plan plans plate play please pls plz plus pm point police
              possible post power prefer present pretty price probably problem program pull put question quick quite rain ran rate rather read ready
              real really reason red remember remind reminder rent repair replace reply rest return ride right road room run running safe said sale
              same sat saturday saw say saying says school sea second see seem seen sell send sending sent september serve service set several shall
              she shift ship shipped shop short should show shower sick side sign signed sir sister sit site size sleep slow small so soft sold some
              somebody someone something sometimes son soon sorry sort sound space speak special spot spring stand start started station stay step still
              stop stopped store story street stuck stuff such summer sunday sure system table take taken taking talk team tell ten test text texting
              than thank thanks that thats the their them then there theres these they theyre thing things think third this those though thought
              three through thru thursday till time times tiny tip tire tires to today together told tomorrow tonight too took top total touch
              town travel tried trip trouble truck true try trying tuesday turn turned twice two type u ugly under understand until up update upon
              ur us use used using usual very visit voice wait waiting walk wall want wanted wants warm was wash wasnt watch water way we weather
              wednesday week weekend weeks weight welcome well went were weve what whats when where which while white who whole whos whose why wife will
              wind window wine winter wish with without woman wont wonder word work worked working works world worse worst worth would wouldnt write
              wrong yard yeah year years yes yesterday yet you young your youre yours
              am pm st nd rd th ft lb lbs hr hrs min mins am asap btw fyi idk omg pic pics thx ty tho cuz bc w k r n y x ya yep yup nope hmm
              haha hahaha lol xx xo
              january february march april june july august october november december mon tue wed thu fri sun jan feb mar apr jun jul aug sep oct nov dec
              four five six seven eight nine eleven twelve twenty thirty hundred thousand half quarter dozen
              el la los las un una de del en y o que es soy esta estan por para con no si su mi me se lo al hola gracias buenas buenos dias tardes
              noches cuanto cuesta donde cuando como tienen hay otra vez
              le les des du et ou je suis est une dans pour avec ce cest mon ma mes vous nous bonjour merci oui non il elle sur pas plus
              der die das und ist ich bin wir sie es ein eine nicht mit fur von zu im auf hallo danke bitte ja nein guten tag
              o os um uma eu voce nao sim obrigado obrigada ola bom dia
              il lo gli e io sono sei ciao grazie per non che
              ik ben een het en van niet dank hallo dag
              ja jest nie tak dzien dobry dziekuje
              privet eto zdravstvujte dobryj den spasibo my budem zavtra mozno mozhno ce ta i v na s u
              """
                  .strip()
                  .split("\\s+")));

  /** Words that only hold a sentence together. */
  private static final Set<String> SMALL =
      new HashSet<>(
          List.of(
              """
              a about above after again ago all almost already also always am among an and another any anybody anyone anything are around as at away
              back be because been before being below between both but by came can cannot cant come comes coming could couldnt did didnt do does
              doesnt doing done dont each either else ever every everybody everyone everything few for from gave get gets getting give go goes going
              gone got had has hasnt have havent having he hello her here hey hi him his how i id if ill im in into is isnt it its ive just know let
              like made make makes many may maybe me might mine more most much must my myself need no nobody none nor not nothing now of off oh ok okay
              on once one ones only or other others our out over own please pls plz put r really said same saw say says see seem send sent she should so
              some somebody someone something sometimes soon sorry still such sure take taken taking tell than thank thanks that thats the their them then
              there theres these they theyre thing things think this those though through till to today told too try type u under until up upon ur us use
              used very via want wanted wants was wasnt way we well went were weve what whats when where which while who whole whos whose why will with
              without wont would wouldnt x y yeah yep yes yet you your youre yours y de el la que es en no si se lo al un una je suis der die das und ist
              ich bin ja nein mr mrs ms
              """
                  .strip()
                  .split("\\s+")));

  private CommonWords() {}

  /** Whether a word only holds a sentence together. */
  public static boolean isSmall(String plain) {
    return SMALL.contains(plain);
  }

  /** All of them, in lower case Latin letters. */
  public static Set<String> all() {
    return ALL;
  }

  /** Whether a word is an everyday word, and so hardly a name. */
  public static boolean contains(String plain) {
    return ALL.contains(plain);
  }
}
