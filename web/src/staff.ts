/** The pages of those who teach or administer, in one piece: who has one of them has them all. */
export { Course } from "./places/courses/Course";
export { Courses } from "./places/courses/Courses";
export { Desk } from "./places/desk/Desk";
export { Gradebook } from "./places/gradebook/Gradebook";
export { GradebookHome } from "./places/gradebook/GradebookHome";
export { People } from "./places/person/People";
export { School } from "./places/person/School";
export { Assessment } from "./stops/Assessment";
export { BringIn } from "./stops/collect/BringIn";
export { Collect } from "./stops/collect/Collect";
export { Examine } from "./stops/examine/Examine";
export { HandBack } from "./stops/handback/HandBack";
export { Queries } from "./stops/handback/Queries";
export { Read } from "./stops/read/Read";
export { Settle } from "./stops/settle/Settle";
