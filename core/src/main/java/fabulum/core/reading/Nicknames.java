package fabulum.core.reading;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Short and familiar forms of first names. Up to a semicolon is one name in its forms, the full one
 * first.
 */
public final class Nicknames {
  private static final String ROWS =
      """
      abigail abby abbie gail; abraham abe bram; adelaide addie heidi; agnes aggie nessa;
      albert al bert bertie albie; alejandra ale sandra alexa; alejandro ale alex jandro;
      alexander alex al xander sandy sasha alec lex alek sander;
      alexandra alex sandra sandy lexi sasha alexa ola; alfred al fred alfie freddie;
      alice ali allie; alison ali allie; alan al; allen al; amanda mandy manda;
      amelia amy millie mia; anastasia nastya stacy ana nastia; andrew andy drew;
      andreas andy; andrzej jedrek; angela angie ange; ann annie nan nancy;
      anna annie ania anya anouk anja; anne annie; anthony tony ant anton;
      antonio tony toni antonin; antonia toni tonia; archibald archie; arnold arnie;
      arthur art artie; augustus gus augie; august gus augie;
      barbara barb barbie babs basia; bartholomew bart; beatrice bea trixie bee;
      beatriz bea; benedict ben; benjamin ben benny benji; bernadette bernie detta;
      bernard bernie; bethany beth; brendan bren; bradley brad; brian bri;
      bridget biddy bridie; brittany britt brit; bronislaw bronek; calvin cal; cameron cam;
      carlos carlitos charlie; caroline carol carrie caro; carolyn carol carrie lyn;
      cassandra cass cassie sandra; catherine cathy kate katie cath cat kitty cate;
      cecilia cece celia cissy; charles charlie chuck chas chip charley;
      charlotte charlie lottie char; chester chet; chloe clo; christian chris;
      christina chris tina christy; christine chris tina chrissy christy;
      christopher chris topher kit; clarence clarry; clifford cliff; clinton clint;
      constance connie; cornelius neil con; curtis curt; cynthia cindy; daniel dan danny;
      danielle dani dan; david dave davey davy; deborah deb debbie debby debra;
      debra deb debbie; delores dee lola; dennis den denny; dimitri dima mitya;
      dmitri dima mitya dmitry; dmitry dima mitya; dominic dom nick; donald don donnie;
      dolores lola dee; dorothy dot dottie dolly dorrie; douglas doug; duane dewey;
      edgar ed eddie; edith edie; edmund ed eddie ned; eduardo edu lalo;
      edward ed eddie ted teddy ned; edwin ed eddie; eileen lena; ekaterina katya kate;
      elaine lainie; eleanor ellie nell nora ella lenny; elena lena;
      elizabeth liz beth betty betsy eliza lizzie libby lisa elsie bess lizbeth;
      ellen ellie nell; emily em emmy millie; emma em emmy; enrique quique kike; eric rick;
      ernest ernie; ernesto neto; esther essie hettie; eugene gene; evangeline eve evie;
      evelyn eve evie; ezekiel zeke; fabian fabi; ferdinand ferdie nando;
      fernando nando fer; florence flo flossie; frances fran frannie francie;
      francesca fran chesca; francis frank fran; francisco paco pancho frank cisco;
      frank frankie; franklin frank; frederick fred freddie fritz; friedrich fritz fred;
      gabriel gabe; gabriela gaby gabi; gareth gary; genevieve gen jenny viv;
      geoffrey geoff jeff; george georgie; gerald gerry jerry; geraldine gerry;
      gertrude gertie trudy; gilbert gil bert; giovanni gianni nino;
      giuseppe beppe peppe joe; gordon gordy; grace gracie; gregory greg gregg;
      grzegorz grzesiek; guadalupe lupe; guillermo memo willy; gustavo gus tavo;
      gwendolyn gwen wendy; hannah hanna; harold harry hal; harriet hattie harry;
      hector tito; helen nell lena; henrietta etta hettie; henry hank harry hal;
      herbert herb bert; howard howie; hubert hugh bert; ignacio nacho; imogen immy imo;
      ingrid inga; irene renie; irina ira; isaac ike zac; isabel bel izzy isa;
      isabella izzy bella isa; isidore izzy; ivan vanya; jacob jake jack;
      jacqueline jackie; jakub kuba; james jim jimmy jamie; jan janek; jane janie;
      janet jan; janice jan; jason jay; jeanette jean netta; jeffrey jeff;
      jennifer jen jenny jenn; jeremiah jerry; jeremy jerry; jerome jerry;
      jessica jess jessie; joan joanie; joanna jo joann asia; joanne jo; johann hans;
      johannes hans jo; john jack johnny jon; jonathan jon jonny; jose pepe;
      joseph joe joey jo; josephine jo josie; joshua josh; joyce joy; juan juanito;
      judith judy judi; julia jules julie; julian jules; julie jules; karl charlie;
      katarzyna kasia; katherine kate katie kathy kat kit kathie kay;
      kathleen kathy kate katie kath; kathryn kate katie kathy; kathy kath;
      katrina kat trina; kenneth ken kenny; kevin kev; kimberly kim; konstantin kostya;
      kristina kris tina; lars lasse; laurence larry laurie; lawrence larry laurie;
      leo lee; leonard len lenny leo; leonardo leo; leslie les; lewis lew; liam bill;
      lilian lily; linda lindy; lloyd floyd; lorraine lori lorrie; louis lou louie;
      louise lou lulu; lucille lucy; lucinda cindy lucy; lydia liddy;
      madeline maddy maddie; magdalena magda lena; malcolm mal; marcus marc mark;
      margaret maggie meg peggy marge margie greta madge rita daisy peg; margarita rita;
      marguerite margie margot daisy; maria mia masha ria; marian mary; marilyn mary;
      mark marcus; martha marty mattie; martin marty; mary molly polly may mamie;
      matilda tilly mattie; matthew matt matty; maureen mo; maurice moe mo; maximilian max;
      maxwell max; melanie mel; melissa mel missy lissa; melvin mel; mercedes mercy;
      michael mike mick micky mikey mitch misha; michal mike; michelle shelly chelle;
      mikhail misha; mildred millie; millicent millie; miriam mimi; mitchell mitch;
      mohammed mo mohamed muhammad mohammad; monique moni; montgomery monty; nadia nadya;
      nancy nan; natalia natasha nat talia; natalie nat; natasha tasha; nathan nate nat;
      nathaniel nate nat; nicholas nick nicky; nicole nikki nicky; nikolaos nikos niko;
      nikolai kolya nick; nikos nick; norman norm; oliver ollie; olivia liv livvy;
      oscar ozzie; oswald ozzie; owen winnie; pamela pam;
      patricia pat patty trish tricia patsy; patrick pat paddy; paul paulie; pauline polly;
      pawel pablo; penelope penny; percival percy; peter pete; philip phil pip;
      phillip phil pip; phyllis phyl; piotr piotrek peter; prescott scott;
      priscilla cilla pris prissy; prudence prue; rachel rach; ramon moncho; raymond ray;
      rebecca becky becca beck; reginald reg reggie; rene ren; ricardo rick ricky;
      richard rick dick rich ricky richie; robert bob rob bobby robbie bert;
      roberta bobbie; roberto beto berto; roderick rod; rodney rod; roger rog;
      roland rolly; ronald ron ronnie; rosalind roz rosie rose; rosemary rose rosie;
      roxanne roxy; russell russ rusty; samantha sam sammy; samuel sam sammy; sandra sandy;
      santiago santi; sarah sally sadie; scott scotty; sebastian seb bastian;
      sergei seryozha serge; shanice shan; shirley shirl; sidney sid; silvester sly;
      simon si; solomon sol; sophia sophie; stanislaw staszek stan; stanley stan;
      stefan stef steve; stephanie steph stevie; stephen steve stevie; steven steve stevie;
      stuart stu; sunil sunny; susan sue susie suzie; susannah sue susie; suzanne sue suzy;
      svetlana sveta lana; sylvester sly; sylvia syl; tabitha tabby; tamara tammy;
      tamika tami; tatiana tanya; terence terry; teresa terry tess tessa;
      theodora thea dora; theodore ted theo teddy; theresa terry tess tessa;
      thomas tom tommy; tiffany tiff; timothy tim timmy; tobias toby tobi;
      tomasz tomek tom; travis trav; tyler ty; ursula uschi; valerie val; vanessa nessa;
      veronica ronnie vera; victor vic; victoria vicky tori vic; vincent vince vinny;
      viktor vic; vikram vik vicky; virginia ginny; vivian viv; vladimir vova volodya;
      wallace wally; walter walt wally; wendell wen; wesley wes; wilfred will fred;
      wilhelm willi will; wilhelmina mina willa minnie; willem wim;
      william bill will billy willy liam; winifred winnie freddie; winston win;
      wojciech wojtek; xavier xavi; yevgeny zhenya; yolanda yoli; yuri yura; yusuf joe;
      zachary zach zack; zbigniew zbyszek;
      """;

  private static final Map<String, Set<Integer>> ROWS_OF = new HashMap<>();

  static {
    int row = 0;
    for (String line : ROWS.split(";\\s*")) {
      for (String form : line.split(" ")) {
        ROWS_OF.computeIfAbsent(form, none -> new HashSet<>()).add(row);
      }
      row++;
    }
  }

  /** First names that very many people have, by the census of the United States. */
  private static final Set<String> FREQUENT =
      Set.of(
          ("james john robert michael william david richard joseph thomas charles christopher daniel matthew anthony mark donald steven paul andrew"
                  + " joshua kenneth kevin brian george timothy ronald edward jason jeffrey ryan jacob gary eric mary patricia jennifer linda elizabeth"
                  + " barbara susan jessica sarah karen lisa nancy betty sandra margaret ashley kimberly emily donna michelle carol amanda melissa"
                  + " deborah stephanie rebecca laura sharon cynthia kathleen amy angela anna mike bob bill jim joe tom dave dan chris matt tony steve"
                  + " ken tim ron jeff liz sue jen kate kathy")
              .split(" "));

  private Nicknames() {}

  /** Whether very many people have this first name. */
  public static boolean isFrequent(String form) {
    return FREQUENT.contains(form);
  }

  /**
   * Whether two forms stand for one name: {@code bob} and {@code robert}, {@code liz}, {@code
   * beth}.
   */
  public static boolean areOneName(String a, String b) {
    Set<Integer> rows = rows(a);
    return !rows.isEmpty() && rows(b).stream().anyMatch(rows::contains);
  }

  /** Whether it is a form of a first name that is listed. */
  public static boolean isListed(String form) {
    return ROWS_OF.containsKey(form);
  }

  /** The rows a form stands in; two forms with a row in common can be one name. */
  public static Set<Integer> rows(String form) {
    return ROWS_OF.getOrDefault(form, Set.of());
  }
}
