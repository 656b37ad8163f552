package org.swaplane.pseudo;

import java.util.HashMap;
import java.util.Map;

/** Letters that stand for the basic Latin ones, and what a text is filled up with. */
public enum PseudoScript {
    /** Accented, and still legible. */
    ACCENTED("ÅƁÇÐÉƑĜĤÎĴĶĻṀÑÖÞǪŔŠŢÛṼŴẊÝŽåƀçðéƒĝĥîĵķļɱñöþǫŕšţûṽŵẋýž", '~'),
    /** Greek and Cyrillic letters that look like Latin ones. */
    LOOK_ALIKE("АВСДЕҒԌНІЈКԼМΝОРԚЯЅТЏѴԜХҮΖаьсԁеғԍһіјκӏмпорԛгѕтυνшхуζ", '~'),
    /** As wide as Chinese, Japanese and Korean characters. */
    WIDE("ＡＢＣＤＥＦＧＨＩＪＫＬＭＮＯＰＱＲＳＴＵＶＷＸＹＺａｂｃｄｅｆｇｈｉｊｋｌｍｎｏｐｑｒｓｔｕｖｗｘｙｚ", '～'),
    /** Hebrew letters, which run from right to left among the numbers and placeholders of the text. */
    RIGHT_TO_LEFT("אבגדהופזחטיכלמנסעפצקרשתךםןאבגדהופזחטיכלמנסעפצקרשתךםן", 'ש');

    /** Marks a letter of another alphabet as replaced without hiding which one it is. */
    private static final String DOT_ABOVE = "\u0307";

    private final Map<Integer, String> letters = new HashMap<>();
    private final char filler;

    PseudoScript(String substitutes, char filler) {
        int[] own = substitutes.codePoints().toArray();
        for (int i = 0; i < own.length; i++) {
            letters.put(
                    (int) "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz".charAt(i), Character.toString(own[i]));
        }
        this.filler = filler;
    }

    /** What stands for a character; it stands for itself when it is no letter. */
    String substitute(int character) {
        String letter = letters.get(character);
        return letter != null
                ? letter
                : Character.isLetter(character)
                        ? Character.toString(character) + DOT_ABOVE
                        : Character.toString(character);
    }

    /** What words are made of that only make a text longer. */
    char filler() {
        return filler;
    }
}
