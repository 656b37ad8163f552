package org.swaplane.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;

/** Divides segments between people, so that each gets about as many words: whole units in their order, and repetitions to one person. */
public final class WordShares {
    private WordShares() {}

    /**
     * The shares, in the order of the document; one may be empty where there are fewer units than people.
     *
     * @param indexes of the segments to divide, rising
     */
    public static List<List<Integer>> of(BilingualDocument document, List<Integer> indexes, int people) {
        List<List<Integer>> shares = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            shares.add(new ArrayList<>());
        }
        long all = indexes.stream().mapToLong(index -> words(document, index)).sum();
        Map<String, Integer> owners = new HashMap<>();
        long given = 0;
        int share = 0;
        int last = -1;
        for (int index : indexes) {
            Segment segment = document.segments().get(index);
            boolean goesOn =
                    last >= 0 && segment.isOfSameUnit(document.segments().get(last));
            if (!goesOn && share + 1 < people && given * people >= all * (share + 1)) {
                share++;
            }
            int owner = share;
            String print = Fingerprint.of(segment.source());
            if (!goesOn) {
                owner = owners.getOrDefault(print, share);
            } else if (last >= 0) {
                // What belongs together stays with whoever has its beginning.
                owner = ownerOf(shares, last, share);
            }
            owners.putIfAbsent(print, owner);
            shares.get(owner).add(index);
            given += words(document, index);
            last = index;
        }
        return shares;
    }

    private static int ownerOf(List<List<Integer>> shares, int index, int otherwise) {
        for (int i = 0; i < shares.size(); i++) {
            List<Integer> own = shares.get(i);
            if (!own.isEmpty() && own.get(own.size() - 1) == index) {
                return i;
            }
        }
        return otherwise;
    }

    private static int words(BilingualDocument document, int index) {
        return Counts.words(document.segments().get(index).source().plainText());
    }
}
