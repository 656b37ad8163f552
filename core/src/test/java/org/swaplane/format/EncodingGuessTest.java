package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.Charset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.document.Problem;
import org.swaplane.task.Progress;

/** Texts that do not say how they are encoded. */
class EncodingGuessTest {
    private static final String POLISH =
            "Prom odpływa z przystani o godzinie dziesiątej.\nDzieci płacą połowę, psy jeżdżą za darmo.\nProszę zająć miejsca siedzące w części środkowej.\n";
    private static final String CZECH =
            "Trajekt odplouvá v deset hodin dopoledne.\nDěti platí polovinu jízdného, psi jezdí zdarma.\nPřípad nouze hlaste posádce, záchranné vesty jsou pod sedadly.\n";
    private static final String RUSSIAN =
            "Паром отправляется в десять часов утра.\nДети платят половину, собаки едут бесплатно.\nСпасательные жилеты находятся под сиденьями.\n";
    private static final String GERMAN =
            "Die Fähre fährt täglich um zehn Uhr.\nHunde müssen draußen an der Leine geführt werden.\nÜberfahrten für Fußgänger sind günstiger.\n";
    private static final String FRENCH =
            "Le traversier quitte le quai à dix heures.\nLes élèves paient la moitié du tarif normal, été comme hiver.\nLes gilets de sauvetage se trouvent sous les sièges.\n";
    private static final String GREEK =
            "Το πλοίο αναχωρεί στις δέκα το πρωί.\nΤα παιδιά πληρώνουν το μισό εισιτήριο.\nΤα σωσίβια βρίσκονται κάτω από τα καθίσματα.\n";
    private static final String TURKISH =
            "Vapur sabah saat onda iskeleden kalkıyor.\nÇocuklar yarım bilet öder, köpekler ücretsiz taşınır.\nCan yelekleri koltukların altındadır.\n";
    private static final String HUNGARIAN =
            "A komp reggel tíz órakor indul a kikötőből.\nA gyerekek fél árat fizetnek, a kutyák ingyen utaznak.\nA mentőmellények az ülések alatt találhatók, kérjük, őrizzék meg jegyüket.\n";
    private static final String JAPANESE = "フェリーは午前十時に出発します。\n子供は半額です。犬は無料です。\n救命胴衣は座席の下にあります。\n";

    private static String text(String language) {
        return switch (language) {
            case "pl" -> POLISH;
            case "cs" -> CZECH;
            case "ru" -> RUSSIAN;
            case "de" -> GERMAN;
            case "fr" -> FRENCH;
            case "el" -> GREEK;
            case "tr" -> TURKISH;
            case "hu" -> HUNGARIAN;
            default -> JAPANESE;
        };
    }

    private static EncodedText read(String language, String charset, String told) throws IOException {
        byte[] bytes = text(language).getBytes(Charset.forName(charset));
        return EncodedText.guessed(Source.of("a.txt", bytes), FileOptions.ofLanguages(told, ""));
    }

    @ParameterizedTest(name = "{0} in {1}")
    @CsvSource({
        "pl,windows-1250",
        "pl,ISO-8859-2",
        "pl,IBM852",
        "pl,x-MacCentralEurope",
        "cs,windows-1250",
        "cs,ISO-8859-2",
        "cs,IBM852",
        "hu,windows-1250",
        "hu,IBM852",
        "ru,windows-1251",
        "ru,KOI8-R",
        "ru,IBM866",
        "ru,IBM855",
        "ru,ISO-8859-5",
        "ru,x-MacCyrillic",
        "de,windows-1252",
        "de,IBM850",
        "de,x-MacRoman",
        "fr,windows-1252",
        "fr,x-MacRoman",
        "el,windows-1253",
        "tr,windows-1254",
        "ja,Shift_JIS",
        "ja,EUC-JP",
        "ja,ISO-2022-JP",
        "ru,UTF-16LE",
        "de,UTF-16BE",
        "ja,UTF-16LE",
        "de,UTF-32LE",
        "de,UTF-32BE",
        "ru,UTF-8"
    })
    void isReadAsItIsWhetherTheLanguageIsKnownOrNot(String language, String charset) throws IOException {
        assertThat(read(language, charset, language).readAll()).isEqualTo(text(language));
        assertThat(read(language, charset, "").readAll()).isEqualTo(text(language));
    }

    @Test
    void aSureGuessIsNoProblemAndADoubtfulOneShowsTheChoices() throws IOException {
        assertThat(read("pl", "windows-1250", "pl").doubt()).isEmpty();

        byte[] few = "caf\u00E9\n".getBytes(Charset.forName("windows-1252"));
        assertThat(FormatRegistry.ofInstalled()
                        .open(Source.of("menu.txt", few), Progress.NONE)
                        .document()
                        .problems())
                .extracting(Problem::message)
                .singleElement()
                .asString()
                .contains("café", "is a guess", "are possible too");
    }
}
