package org.swaplane.pseudo;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.MessagePattern.Part;
import java.util.ArrayDeque;
import java.util.Deque;
import org.swaplane.format.IcuMessage;

/** The syntax of ICU messages with variants, which stays while their texts change. */
final class MessageSyntax {
    private MessageSyntax() {}

    /** The text with every character of syntax replaced by {@code filler}; as it is when it is no such message. */
    static String mask(String text, char filler) {
        if (!IcuMessage.mayHaveVariants(text)) {
            return text;
        }
        try {
            return masked(new MessagePattern(text), text, filler);
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            return text; // looks like one and is none
        }
    }

    private static String masked(MessagePattern pattern, String text, char filler) {
        StringBuilder result = new StringBuilder(String.valueOf(filler).repeat(text.length()));
        Deque<Boolean> inText = new ArrayDeque<>();
        int at = 0;
        for (int i = 0; i < pattern.countParts(); i++) {
            Part part = pattern.getPart(i);
            if (Boolean.TRUE.equals(inText.peek())) {
                result.replace(at, part.getIndex(), text.substring(at, part.getIndex()));
            }
            switch (part.getType()) {
                case MSG_START -> inText.push(true);
                case ARG_START -> inText.push(false);
                case MSG_LIMIT, ARG_LIMIT -> inText.pop();
                default -> {} // arguments and quotes
            }
            at = part.getLimit();
        }
        return result.toString();
    }
}
