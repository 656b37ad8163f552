package org.swaplane.pseudo;

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

    /** By their code. */
    private final String[] latin = new String['z' + 1];

    private final char filler;

    PseudoScript(String substitutes, char filler) {
        int[] own = substitutes.codePoints().toArray();
        for (int i = 0; i < own.length; i++) {
            latin["ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz".charAt(i)] = Character.toString(own[i]);
        }
        this.filler = filler;
    }

    /** What stands for a letter; empty for a character that is none and stays. */
    String substitute(int character) {
        String letter = character < latin.length ? latin[character] : null;
        if (letter != null) {
            return letter;
        }
        return Character.isLetter(character) ? Character.toString(character) + DOT_ABOVE : "";
    }

    /** What words are made of that only make a text longer. */
    char filler() {
        return filler;
    }
}
