package org.scholion.server.bank;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.UUID;
import org.hibernate.Session;
import org.hibernate.query.NativeQuery;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Finds items among one's own and those that are shared: by words (whole words and beginnings of words through the
 * full-text index, slips through trigrams), kind, standard, mean score expected or found, folder, tag, author and use.
 */
@Service
public class BankSearch {
    private static final int MOST = 100;

    private final EntityManager entities;

    BankSearch(EntityManager entities) {
        this.entities = entities;
    }

    /** What is wanted; null and empty mean anything. The bounds are of the mean found so far, or of the expected one. */
    public record Wanted(
            @Nullable String words,
            @Nullable String kind,
            @Nullable String code,
            @Nullable String tag,
            @Nullable UUID folder,
            @Nullable UUID author,
            @Nullable String from,
            @Nullable String to,
            @Nullable Boolean soFar,
            @Nullable Boolean used) {}

    /**
     * A line of what was found; {@code soFar} the mean score where it was used in one's own courses and handed back,
     * with how many {@code students} that rests on; {@code mayEdit} whether it is one's own or shared to be edited; only what is {@code mine} can be shared or removed.
     */
    public record BankLine(
            UUID id,
            int version,
            String kind,
            String prompt,
            List<String> tags,
            List<String> codes,
            @Nullable String difficulty,
            @Nullable String soFar,
            int students,
            int uses,
            String author,
            @Nullable UUID folder,
            boolean mayEdit,
            boolean mine,
            Object definition) {}

    /** At most a hundred, the best first; {@code more} whether there are others. */
    public record BankFound(List<BankLine> items, boolean more) {}

    private static final String MINE = """
            (i.owner_id = :me
             or exists (select 1 from share s where s.person_id = :me and s.object_id = i.id)
             or exists (select 1 from share s join bank_folder f on f.id = s.object_id
                  where s.person_id = :me and s.object_id = i.folder_id and f.deleted_at is null))""";

    private static final String FILTERS = """
             and i.deleted_at is null and (cast(:kind as text) is null or i.kind = :kind)
             and (cast(:code as text) is null or i.codes && cast(:codes as text[]))
             and (cast(:tag as text) is null or :tag = any(i.tags))
             and (cast(:folder as uuid) is null or i.folder_id = :folder)
             and (cast(:author as uuid) is null or i.owner_id = :author)
             and (cast(:from as numeric) is null or MEAN >= :from)
             and (cast(:to as numeric) is null or MEAN <= :to)
             and (cast(:used as boolean) is null or (i.uses > 0) = :used)""";

    private static final String JOINS = " join person p on p.id = i.owner_id"
            + " left join bank_folder f on f.id = i.folder_id and f.deleted_at is null";

    /** The mean of an item over its uses in one's own courses, by students. */
    private static final String SO_FAR = """
            (select round(sum(u.mean_score * u.students) / sum(u.students), 4) from bank_use u
             join assessment a on a.id = u.assessment_id
             join course_teacher t on t.course_id = a.course_id and t.person_id = :me
             where u.item_id = i.id and u.students > 0)""";

    private static final String FIELDS = """
            select i.id, i.version, i.kind, i.prompt, i.tags, i.codes, i.difficulty, i.uses, """ + SO_FAR + """
             as so_far, (select coalesce(sum(u.students), 0) from bank_use u join assessment a on a.id = u.assessment_id
                join course_teacher t on t.course_id = a.course_id and t.person_id = :me
                where u.item_id = i.id) as students,
                   p.given || ' ' || p.family as author, f.id as folder_id, cast(i.definition as text) as definition,
                   i.owner_id = :me or exists (select 1 from share s where s.person_id = :me and s.may_edit
                     and s.object_id in (i.id, f.id)) as may_edit, i.owner_id = :me as mine
            from\s""";

    @Transactional(readOnly = true)
    public BankFound find(Me me, Wanted w) {
        String words = w.words() == null ? "" : Searched.alike(w.words());
        List<BankLine> found = words.isEmpty() ? recent(me, w) : byWords(me, w, words);
        if (!words.isEmpty() && found.isEmpty()) {
            found = byLikeness(me, w, words);
        }
        return new BankFound(found.subList(0, Math.min(MOST, found.size())), found.size() > MOST);
    }

    /** The newest, from each of the three ways to have an item, so that each takes its own index. */
    private List<BankLine> recent(Me me, Wanted w) {
        String newest = " " + FILTERS + " order by i.changed_at desc limit " + (MOST + 1) + ")";
        return lines(
                me,
                w,
                FIELDS + "((select i.id, i.changed_at from bank_item i where i.owner_id = :me" + newest
                        + " union (select i.id, i.changed_at from share s join bank_item i on i.id = s.object_id"
                        + " where s.person_id = :me" + newest
                        + " union (select i.id, i.changed_at from share s join bank_item i on i.folder_id = s.object_id"
                        + " join bank_folder f on f.id = i.folder_id and f.deleted_at is null"
                        + " where s.person_id = :me" + newest
                        + " order by changed_at desc limit " + (MOST + 1) + ") found"
                        + " join bank_item i on i.id = found.id" + JOINS
                        + " order by i.changed_at desc",
                "");
    }

    /** Ranked only among the newest thousand that fit, so that a frequent word costs no more than a rare one. */
    private List<BankLine> byWords(Me me, Wanted w, String words) {
        String query = String.join(":* & ", words.split(" ")) + ":*";
        return lines(
                me,
                w,
                FIELDS + "(select * from bank_item i where i.words @@ to_tsquery('simple', :query) and " + MINE
                        + FILTERS
                        + " order by i.changed_at desc limit 1000) i" + JOINS
                        + " order by ts_rank(i.words, to_tsquery('simple', :query)) desc, i.changed_at desc limit "
                        + (MOST + 1),
                query);
    }

    private List<BankLine> byLikeness(Me me, Wanted w, String words) {
        return lines(
                me,
                w,
                FIELDS + "(select * from bank_item i where :query <% i.said and " + MINE + FILTERS
                        + " limit 1000) i" + JOINS
                        + " order by word_similarity(:query, i.said) desc limit " + (MOST + 1),
                words);
    }

    private List<BankLine> lines(Me me, Wanted w, String sql, String query) {
        NativeQuery<Tuple> select =
                query(sql.replace("MEAN", Boolean.TRUE.equals(w.soFar()) ? SO_FAR : "i.difficulty"));
        if (sql.contains(":query")) {
            select.setParameter("query", query);
        }
        return select.setParameter("me", me.id())
                .setParameter("kind", blank(w.kind()), String.class)
                .setParameter("code", blank(w.code()), String.class)
                .setParameter("codes", codes(me, blank(w.code())))
                .setParameter("tag", blank(w.tag()), String.class)
                .setParameter("folder", w.folder(), UUID.class)
                .setParameter("author", w.author(), UUID.class)
                .setParameter("from", number(w.from()), BigDecimal.class)
                .setParameter("to", number(w.to()), BigDecimal.class)
                .setParameter("used", w.used(), Boolean.class)
                .getResultStream()
                .map(BankSearch::line)
                .toList();
    }

    private NativeQuery<Tuple> query(String sql) {
        return entities.unwrap(Session.class).createNativeQuery(sql, Tuple.class);
    }

    private static BankLine line(Tuple row) {
        return new BankLine(
                row.get("id", UUID.class),
                row.get("version", Integer.class),
                row.get("kind", String.class),
                row.get("prompt", String.class),
                List.of(row.get("tags", String[].class)),
                List.of(row.get("codes", String[].class)),
                decimal(row.get("difficulty", BigDecimal.class), 4),
                decimal(row.get("so_far", BigDecimal.class), 2),
                row.get("students", Number.class).intValue(),
                row.get("uses", Integer.class),
                row.get("author", String.class),
                row.get("folder_id", UUID.class),
                row.get("may_edit", Boolean.class),
                row.get("mine", Boolean.class),
                JsonColumn.plain(JsonColumn.read(row.get("definition", String.class))));
    }

    private static @Nullable String decimal(@Nullable BigDecimal value, int digits) {
        return value == null
                ? null
                : value.setScale(digits, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString();
    }

    private static @Nullable String blank(@Nullable String s) {
        return s == null || s.isBlank() ? null : s.strip();
    }

    /** A standard with all that is below it, in any framework of the school. */
    private String[] codes(Me me, @Nullable String code) {
        return code == null
                ? new String[0]
                : query("""
                        with recursive standard as (
                          select s ->> 'code' as code, s ->> 'parent' as parent from framework f
                          cross join jsonb_array_elements(f.definition -> 'standards') s where f.school_id = :school),
                        below as (
                          select cast(:code as text) as code
                          union select s.code from standard s join below b on s.parent = b.code)
                        select code from below""")
                        .setParameter("school", me.school())
                        .setParameter("code", code)
                        .getResultStream()
                        .map(row -> row.get(0, String.class))
                        .toArray(String[]::new);
    }

    /** A bound as difficulties are kept, with four decimals, so that a third is found at a third; no number is no bound. */
    private static @Nullable BigDecimal number(@Nullable String written) {
        String text = blank(written);
        return text == null
                ? null
                : Fraction.parse(text).map(f -> new BigDecimal(f.toDecimal(4))).orElse(null);
    }

    /** Items whose prompt is equal or nearly so; the likeness from 0 to 1, the most alike first. */
    public record Alike(UUID id, String prompt, String author, String likeness) {}

    @Transactional(readOnly = true)
    public List<Alike> alike(Me me, String prompt, @Nullable UUID but) {
        return query("""
                        select i.id, i.prompt, p.given || ' ' || p.family as author,
                               round(similarity(i.alike, :alike)::numeric, 2)::text as likeness
                        from bank_item i join person p on p.id = i.owner_id
                        where i.deleted_at is null and i.alike % :alike and similarity(i.alike, :alike) >= 0.6 and i.alike <> ''
                          and (cast(:but as uuid) is null or i.id <> :but) and\s""" + MINE + " order by similarity(i.alike, :alike) desc limit 10")
                .setParameter("alike", Searched.alike(prompt))
                .setParameter("but", but, UUID.class)
                .setParameter("me", me.id())
                .getResultStream()
                .map(row -> new Alike(
                        row.get(0, UUID.class),
                        row.get(1, String.class),
                        row.get(2, String.class),
                        row.get(3, String.class)))
                .toList();
    }

    /** One's own items with equal prompts. */
    public record Twins(String prompt, List<UUID> items) {}

    /** Two of one's own items whose prompts are nearly equal. */
    public record Near(UUID item, String prompt, UUID other, String otherPrompt, String likeness) {}

    /** The nearly equal ones of one's whole bank, the most alike first. */
    @Transactional(readOnly = true)
    public List<Near> near(Me me) {
        return query("""
                        select a.id, a.prompt, b.id as other, b.prompt as otherprompt, round(similarity(a.alike, b.alike)::numeric, 2)::text
                        from bank_item a join bank_item b on b.id = a.near_id
                        where a.owner_id = :me and a.deleted_at is null and b.deleted_at is null and a.alike <> b.alike and similarity(a.alike, b.alike) >= 0.6
                          and not (b.near_id is not distinct from a.id and b.id < a.id)
                        order by similarity(a.alike, b.alike) desc, a.prompt limit 200""")
                .setParameter("me", me.id())
                .getResultStream()
                .map(row -> new Near(
                        row.get(0, UUID.class),
                        row.get(1, String.class),
                        row.get(2, UUID.class),
                        row.get(3, String.class),
                        row.get(4, String.class)))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Twins> twins(Me me) {
        return query("""
                        select min(prompt) as prompt, array_agg(id order by made_at) as ids from bank_item
                        where owner_id = :me and deleted_at is null and alike <> '' group by md5(alike), alike having count(*) > 1
                        order by max(changed_at) desc limit 200""")
                .setParameter("me", me.id())
                .getResultStream()
                .map(row -> new Twins(row.get("prompt", String.class), List.of(row.get("ids", UUID[].class))))
                .toList();
    }
}
