package org.scholion.server.read;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.text.ParseException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.apache.lucene.analysis.hunspell.Dictionary;
import org.apache.lucene.analysis.hunspell.Hunspell;
import org.apache.lucene.analysis.hunspell.SortingStrategy;
import org.apache.lucene.analysis.hunspell.SuggestionTimeoutException;
import org.apache.lucene.analysis.hunspell.TimeoutPolicy;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.tartarus.snowball.ext.EnglishStemmer;

/** The words of British English: which there are, which was meant, and what their forms have in common. */
@Component
class English {
    private static final String WORDS = "/dictionaries/en-GB/index";
    private static final int LONGEST = 40;

    private static final int MOST_KEPT = 10_000;

    private final ThreadLocal<EnglishStemmer> stemmers = ThreadLocal.withInitial(EnglishStemmer::new);
    private final Cache<String, Optional<String>> meant =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    private @Nullable Dictionary dictionary;

    /** Read when it is wanted first: it takes a moment and some megabytes, and not every school has a use for it. */
    private synchronized Dictionary words() {
        Dictionary read = dictionary;
        if (read == null) {
            try (InputStream rules = stream(".aff");
                    InputStream words = stream(".dic")) {
                read = new Dictionary(rules, List.of(words), false, SortingStrategy.inMemory());
            } catch (IOException | ParseException e) {
                throw new IllegalStateException("the dictionary cannot be read", e);
            }
            dictionary = read;
        }
        return read;
    }

    private static InputStream stream(String ending) throws IOException {
        return Optional.ofNullable(English.class.getResourceAsStream(WORDS + ending))
                .orElseThrow(() -> new IOException("no " + WORDS + ending));
    }

    /** One look at a text; it is for one thread. */
    Look look() {
        return new Look(new Hunspell(words(), TimeoutPolicy.THROW_EXCEPTION, () -> {}), meant);
    }

    /** What knows words for the length of one text. */
    record Look(Hunspell speller, Cache<String, Optional<String>> kept) {
        boolean has(String word) {
            return word.length() > LONGEST || speller.spell(word);
        }

        /**
         * The word that was meant most likely; empty where none comes near. What is found is kept, so that a word is
         * told alike each time; what was not found within the time is looked for anew.
         */
        Optional<String> meant(String word, Duration time) {
            if (word.length() > LONGEST || time.isNegative()) {
                return Optional.empty();
            }
            Optional<String> known = kept.getIfPresent(word);
            if (known != null) {
                return known;
            }
            try {
                Optional<String> found = speller.suggest(word, Math.max(1, time.toMillis())).stream()
                        .findFirst();
                kept.put(word, found);
                return found;
            } catch (SuggestionTimeoutException late) {
                return late.getPartialResult().stream().findFirst();
            }
        }
    }

    /** Of a word in small letters what all of its forms begin with; another word may begin like that as well. */
    String stem(String word) {
        EnglishStemmer stemmer = stemmers.get();
        stemmer.setCurrent(word);
        stemmer.stem();
        return stemmer.getCurrent();
    }
}
