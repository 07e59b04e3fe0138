package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.scholion.core.score.Marks.f;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Head;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;

/** What a teacher reads in lines of working. */
class WorkingTest {
    private static Mark work(String start, String accept, String variables, String lines) {
        WorkingItem item = new WorkingItem(
                Head.of("q", f("4")),
                start,
                List.of(accept.split(" / ")),
                List.of(variables.split(" ")),
                Fraction.HALF,
                Fraction.HALF,
                false);
        return Scorer.of(item).score(new Answer.Lines(List.of(lines.split("↵"))));
    }

    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(
            delimiter = '§',
            value = {
                "x(x-2)=0 § x=0 or x=2 § x=0↵x-2=0↵x=2",
                "x(x-2)=0 § x=0 or x=2 § x=0 or x-2=0↵x=0 or x=2",
                "(x-2)(x+3)=0 § x=2 or x=-3 § x-2=0↵x=2↵x+3=0↵x=-3",
                "x²-5x+6=0 § x=2 or x=3 § (x-2)(x-3)=0↵x=2, x=3",
                "x²-5x+6=0 § x=2 or x=3 § (x-2)(x-3)=0↵x1=2, x2=3",
                "2x=4 § x=2 § x = 4/2 = 2",
                "2x+6=10 § x=2 § 2x=10-6=4↵x=2",
                "2x+6=10 § x=2 § 2x=4↵x=2↵Check: 2·2+6=10",
                "2x+6=10 § x=2 § 2x=4↵x=2↵2·2+6=10",
                "2x+6=10 § x=2 § 2x+6=10 | -6↵2x=4 | :2↵x=2",
                "2x+6=10 § x=2 § 2x+6=10 (-6)↵2x=4 (:2)↵x=2",
                "2x+6=10 § x=2 § | -6↵2x=4↵| :2↵x=2",
                "2x+6=10 § x=2 § subtract 6 from both sides↵2x=4↵divide by 2↵x=2",
                "2x+6=10 § x=2 § so 2x=4↵therefore x=2 ✓",
                "2x+6=10 § x=2 § 2x=4 because 10-6 is 4↵x=2",
                "√(x+1)=x-1 § x=3 § x+1=(x-1)²↵x+1=x²-2x+1↵x²-3x=0↵x=0 or x=3↵x=3",
                "√(x+1)=3 § x=8 § x+1=9↵x=8",
                "6/x=2 § x=3 § 6=2x↵x=3",
                "(x²-1)/(x-1)=3 § x=2 § x²-1=3(x-1)↵x²-3x+2=0↵x=1 or x=2↵x=2",
                "x²-4x+1=0 § x=2±√3 § (x-2)²=3↵x-2=±√3↵x=2±√3",
                "x²=7 § x=±√7 § x=√7 or x=-√7",
                "-2x<6 § x>-3 § x>-3",
                "|x-1|=2 § x=3 or x=-1 § x-1=2 or x-1=-2↵x=3 or x=-1",
                "2^x=8 § x=3 § x ln 2 = ln 8↵x=3",
                "2(x+3)-x § x+6 § 2x+6-x↵x+6",
                "2(x+3)-x § x+6 § 2(x+3)-x = 2x+6-x = x+6",
            })
    void right_working_is_right_however_it_is_written(String start, String accept, String lines) {
        Mark mark = work(start, accept, "x", lines);
        assertThat(mark.credit()).as(Words.english(mark.reason())).isEqualTo(Fraction.ONE);
    }

    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(
            delimiter = '§',
            value = {
                "x+y=5 and x-y=-1 § x=2 and y=3 § 2x=4↵x=2↵2+y=5↵y=3",
                "x+y=5 and x-y=-1 § x=2 and y=3 § x=5-y↵5-y-y=-1↵-2y=-6↵y=3↵x=2",
                "x+y=5 and x-y=-1 § x=2 and y=3 § 2x=4↵x=2↵y=3↵(x,y)=(2,3)",
            })
    void systems_are_worked_line_by_line(String start, String accept, String lines) {
        Mark mark = work(start, accept, "x y", lines);
        assertThat(mark.credit()).as(Words.english(mark.reason())).isEqualTo(Fraction.ONE);
    }

    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(
            delimiter = '§',
            value = {
                "2x+6=10 § x=2 § 2x=16↵x=8 § 1 § a sign has changed",
                "3(x+4)=21 § x=3 § 3x+4=21 § 1 § 4 is not multiplied by 3",
                "3(x+4)=21 § x=3 § 3x+13=21 § 1 § 3 · 4 is 12, not 13",
                "2x+3=11 § x=4 § 2x=7 § 1 § 11 − 3 is 8, not 7",
                "2x+3=x+7 § x=4 § 2x=x+7 § 1 § a term is left out: 3",
                "-2x<6 § x>-3 § x<-3 § 1 § the inequality sign must be reversed",
                "x²=9 § x=±3 § x=3 § 1 § a root is lost: x = -3",
                "x²=5x § x=0 or x=5 § x=5 § 1 § divided by what is 0 for x = 0",
                "x/2+3=5 § x=4 § x+3=10 § 1 § 3 is not multiplied by 2",
                "(x+3)² § x²+6x+9 § x²+9 § 1 § ",
                "2(x+3)-x § x+6 § 2x+3-x § 1 § 3 is not multiplied by 2",
                "3x+5x § 8x § 7x § 1 § 3 + 5 is 8, not 7",
                "√(x+1)=3 § x=8 § x+1=3 § 1 § ",
                "2x=4 § x=2 § x=2 or x=7 § 1 § a solution is added",
                "√(x+1)=x-1 § x=3 § x+1=(x-1)²↵x²-3x=0↵x=0 or x=3 § 0 § solutions that were not left out",
            })
    void the_first_wrong_line_is_named_with_what_went_wrong(
            String start, String accept, String lines, int line, String why) {
        Mark mark = work(start, accept, "x", lines);
        String said = Words.english(mark.reason());
        assertThat(mark.state()).as(said).isEqualTo(State.SCORED);
        assertThat(mark.credit()).as(said).isLessThan(Fraction.ONE);
        assertThat(said).contains(line == 0 ? "does not reach" : "line " + line + " is the first wrong one");
        assertThat(said).contains(why == null ? "" : why);
    }
}
