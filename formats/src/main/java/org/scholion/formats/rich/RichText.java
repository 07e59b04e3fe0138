package org.scholion.formats.rich;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.owasp.html.Encoding;
import org.owasp.html.HtmlChangeListener;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;

/**
 * Formatted text is a small part of HTML: paragraphs, lists, tables, emphasis, links, pictures and sound out of the
 * school's own files, and formulas, {@code <span data-formula="LaTeX">}. Everything else is named, and never shown.
 */
public final class RichText {
    private static final Pattern OWN_FILE = Pattern.compile("/api/files/[0-9a-f]{64}");
    private static final Pattern LINK = Pattern.compile("(?i)https?://\\S+|mailto:\\S+");
    private static final Pattern ANY = Pattern.compile("(?s).*");
    private static final Pattern SPAN = Pattern.compile("[1-9][0-9]?");
    private static final Pattern IMAGE = Pattern.compile("(?is)<img\\b[^>]*>");
    private static final Pattern ALT = Pattern.compile("(?is)\\balt\\s*=\\s*(\"[^\"]*\\S[^\"]*\"|'[^']*\\S[^']*')");
    private static final Pattern FORMULA =
            Pattern.compile("(?is)<span\\b[^>]*data-formula=\"([^\"]*)\"[^>]*>.*?</span>");
    private static final Pattern BREAK = Pattern.compile("(?i)<(br|/p|/li|/tr|/h[23]|/blockquote|/pre)\\b[^>]*>");
    private static final Pattern TAG = Pattern.compile("(?s)<[^>]*>");

    private static final PolicyFactory POLICY = new HtmlPolicyBuilder()
            .allowElements(
                    "p",
                    "br",
                    "strong",
                    "em",
                    "u",
                    "s",
                    "sub",
                    "sup",
                    "code",
                    "pre",
                    "blockquote",
                    "ul",
                    "ol",
                    "li",
                    "h2",
                    "h3",
                    "table",
                    "tbody",
                    "thead",
                    "tr",
                    "th",
                    "td",
                    "a",
                    "img",
                    "audio",
                    "span",
                    "hr")
            .allowWithoutAttributes("span", "a")
            .allowAttributes("data-formula")
            .matching(ANY)
            .onElements("span")
            .allowAttributes("colspan", "rowspan")
            .matching(SPAN)
            .onElements("th", "td")
            .allowAttributes("href")
            .matching(LINK)
            .onElements("a")
            .allowUrlProtocols("http", "https", "mailto")
            .allowAttributes("target", "rel")
            .matching(ANY)
            .onElements("a")
            .allowAttributes("src")
            .matching(OWN_FILE)
            .onElements("img", "audio")
            .allowAttributes("alt", "title")
            .matching(ANY)
            .onElements("img", "audio")
            .allowAttributes("controls")
            .matching(ANY)
            .onElements("audio")
            .allowAttributes("start")
            .matching(SPAN)
            .onElements("ol")
            .toFactory();

    private RichText() {}

    /** Plain words as they stand in markup. */
    public static String escaped(String words) {
        return words.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }

    /** What must not stand in a formatted text, each said once; empty when all is well. */
    public static List<String> faults(String html) {
        Set<String> faults = new LinkedHashSet<>();
        POLICY.sanitize(html, new Listener(), faults);
        Matcher images = IMAGE.matcher(html);
        while (images.find()) {
            if (!ALT.matcher(images.group()).find()) {
                faults.add("a picture has no description yet; say what it shows, for people who cannot see it");
            }
        }
        return new ArrayList<>(faults);
    }

    /** What may be shown of a text, whatever it holds. */
    public static String clean(String html) {
        return POLICY.sanitize(html);
    }

    /** What it says in plain text; formulas as they are typed. */
    public static String plain(String html) {
        String marked = FORMULA.matcher(html).replaceAll(m -> Matcher.quoteReplacement(m.group(1)));
        String text = TAG.matcher(BREAK.matcher(marked).replaceAll("\n")).replaceAll("");
        return Encoding.decodeHtml(text, false).replace('\u00A0', ' ').strip();
    }

    private static final class Listener implements HtmlChangeListener<Set<String>> {
        @Override
        public void discardedTag(Set<String> faults, String element) {
            faults.add(
                    element.equals("script")
                            ? "a script cannot stand in a text: take it out"
                            : "<" + element + "> cannot stand in a text: take it out");
        }

        @Override
        public void discardedAttributes(Set<String> faults, String element, String... names) {
            for (String name : names) {
                faults.add(
                        name.equals("src")
                                ? "a picture or sound has to be put in as a file; it cannot be fetched from elsewhere"
                                : name.equals("href")
                                        ? "a link leads to http, https or mailto"
                                        : "'" + name + "' cannot stand in <" + element + ">: take it out");
            }
        }
    }
}
