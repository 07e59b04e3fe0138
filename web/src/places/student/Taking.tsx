import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { SchoolSign } from "../../parts/SchoolSign";
import { fileUrl } from "../../parts/upload";
import { t } from "../../text";
import { CheckAndHandIn } from "./CheckAndHandIn";
import { WithCalculator } from "./calculator/WithCalculator";
import { TimeLeft } from "./clock/TimeLeft";
import { useSittingClock } from "./clock/useSittingClock";
import { FullScreen } from "./FullScreen";
import { OtherWindowNote } from "./OtherWindowNote";
import { AttachTo } from "./open/attachTo";
import { PartHead } from "./PartHead";
import { Progress } from "./Progress";
import { askedOn } from "./pages";
import { type Practice, usePractice } from "./practice/usePractice";
import { Questions } from "./Questions";
import { SavedState } from "./SavedState";
import { isSaid } from "./said";
import { TeacherSays } from "./TeacherSays";
import { useLeaving } from "./useLeaving";
import { useReached } from "./useReached";
import { placeOf, useWayThrough } from "./useWayThrough";
import { useWhatISaid } from "./useWhatISaid";

type Paper = Schemas["Paper"];

/** Working on a paper: its questions, the time, what is saved, and handing in. */
export function Taking({ paper, paperAt }: { paper: Paper; paperAt: number }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const written = useWhatISaid(paper);
  const { saver, said } = written;
  const clock = useSittingClock(paper, paperAt);
  const way = useWayThrough(paper, clock.rules, useReached(paper.attempt, saver.flush));
  const left = useLeaving(paper.attempt, clock.rules);
  const practice = usePractice(paper, clock.rules.practice, said, saver.flush);
  const handIn = useMutation({
    mutationFn: async () => {
      if (!(await saver.flush())) {
        throw new Problem(
          0,
          "unsent",
          Object.keys(saver.others).length > 0
            ? t("Another window says something else to a question. Choose there first which answer counts.")
            : t(
                "Not everything could be sent yet. It is kept on this device; hand in again when there is a connection.",
              ),
          [],
        );
      }
      await ok(
        api.POST("/api/student/attempts/{attempt}/hand-in", { params: { path: { attempt: paper.attempt } } }),
      );
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["paper", paper.attempt] });
      void client.invalidateQueries({ queryKey: ["todo"] });
      void navigate(`/sit/${paper.attempt}`, { replace: true });
    },
  });
  return (
    <TakingView
      paper={paper}
      written={written}
      clock={clock}
      way={way}
      left={left}
      practice={practice}
      handIn={handIn}
    />
  );
}

type Kept = ReturnType<typeof useWhatISaid>;

/** The paper as it is worked on, whoever keeps what is said. */
export function TakingView({
  paper,
  written,
  clock,
  way,
  left,
  practice,
  handIn,
  within = false,
}: {
  paper: Paper;
  written: Kept;
  clock: ReturnType<typeof useSittingClock>;
  way: ReturnType<typeof useWayThrough>;
  left: boolean;
  practice: Practice;
  handIn: { mutate: () => void; isPending: boolean; error: unknown };
  /** Whether it stands within another page, which has its heading and its place already. */
  within?: boolean;
}) {
  const Main = within ? "div" : "main";
  const Title = within ? "h2" : "h1";
  const { saver, said, say, choose } = written;
  const { rules } = clock;
  const { at, go, pages, screens } = way;
  const screen = screens[at] ?? [];
  const first = pages.indexOf(screen[0] as (typeof pages)[number]);
  const open = screen.flatMap(askedOn).filter((item) => !isSaid(said[item.id]?.answer));
  const notRight =
    rules.practice === "UNTIL_RIGHT" && screen.flatMap(askedOn).some((i) => !practice.isPassed(i.id));
  const stays = notRight || (rules.mustAnswer && !rules.goingBack && open.length > 0);
  const next = () => !stays && go(at + 1);
  useKeys([
    ["ArrowRight", t("next question"), next],
    ["ArrowLeft", rules.goingBack ? t("previous question") : "", () => go(at - 1)],
  ]);
  const closed = clock.isOver || clock.paused || clock.aside;
  return (
    <div
      className={`mx-auto flex max-w-2xl flex-col border-rule bg-sheet ${within ? "min-h-[36rem] border" : "min-h-dvh sm:border-x"}`}
    >
      <header className="sticky top-0 z-10 border-b border-rule bg-paper px-4 pt-3 pb-2">
        <div className="flex items-baseline justify-between gap-4">
          <Title className="truncate font-script text-words font-semibold">{paper.title}</Title>
          <SchoolSign />
          {clock.paused ? (
            <strong className="text-waiting">{t("paused")}</strong>
          ) : (
            <TimeLeft left={clock.left} moreUntil={clock.moreUntil} />
          )}
        </div>
        {paper.questions.length > 0 && (
          <p className="mt-1 text-small">
            {t("Question paper:")}{" "}
            {paper.questions.map((q) => (
              <a
                key={q.file}
                className="mr-3 underline"
                href={fileUrl(q.file)}
                target="_blank"
                rel="noreferrer"
              >
                {q.name || t("Open the question paper")}
              </a>
            ))}
          </p>
        )}
        {rules.calculator && <WithCalculator scientific={rules.calculator === "SCIENTIFIC"} />}
        <Progress
          pages={pages}
          said={said}
          isHere={way.isHere}
          isOpen={way.isOpen}
          onGo={(page) => way.goTo(page.item.id)}
        />
      </header>
      <Main id={within ? undefined : "page"} className="flex-1 px-4 py-5">
        <TeacherSays clock={clock} attempt={paper.attempt} left={left} />
        {rules.fullScreen && !closed && <FullScreen />}
        <fieldset disabled={closed} className="min-w-0 disabled:opacity-60">
          {screen.flatMap(askedOn).map((asked) => (
            <OtherWindowNote
              key={asked.id}
              item={asked}
              other={saver.others[asked.id]}
              onChoose={(mine) => choose(asked.id, mine)}
            />
          ))}
          {screen.map((page, i) => (
            <div
              key={page.item.id}
              id={placeOf(page.item.id)}
              className={i > 0 ? "mt-8 border-t border-rule pt-5" : ""}
            >
              {page.item.part !== pages[first + i - 1]?.item.part && (
                <PartHead part={paper.parts.find((p) => p.id === page.item.part)} />
              )}
              <AttachTo value={`/api/student/attempts/${paper.attempt}/files`}>
                <Questions
                  page={page}
                  all={paper.items.filter((item) => item.number > 0).length}
                  said={said}
                  onSay={say}
                  practice={practice}
                />
              </AttachTo>
            </div>
          ))}
          {at === screens.length && (
            <CheckAndHandIn
              paper={paper}
              mustAnswer={rules.mustAnswer}
              said={said}
              onGo={rules.goingBack ? way.goTo : undefined}
              onHandIn={() => handIn.mutate()}
              pending={handIn.isPending}
              error={handIn.error}
            />
          )}
        </fieldset>
      </Main>
      <footer className="sticky bottom-0 border-t border-rule bg-paper px-4 py-3">
        <SavedState saver={saver} />
        {stays && (
          <p className="mt-1 text-small text-waiting">
            {notRight ? t("Look at your answer. You go on when it is right.") : t("Answer this to go on.")}
          </p>
        )}
        {!rules.goingBack && at < screens.length && !stays && (
          <p className="mt-1 text-small text-soft">{t("You cannot come back to this once you go on.")}</p>
        )}
        <div className="mt-2 flex flex-wrap gap-3">
          {rules.goingBack && (
            <Button
              className="min-h-11 grow justify-center"
              hotkey="←"
              disabled={!way.mayGoBack}
              onClick={() => go(at - 1)}
            >
              {t("Previous")}
            </Button>
          )}
          {at < screens.length && (
            <Button
              look="strong"
              className="min-h-11 grow-2 basis-32 justify-center"
              hotkey="→"
              disabled={stays}
              onClick={next}
            >
              {at === screens.length - 1 ? t("Check and hand in") : t("Next")}
            </Button>
          )}
        </div>
      </footer>
    </div>
  );
}
